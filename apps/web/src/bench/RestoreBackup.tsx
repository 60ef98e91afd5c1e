import type { Problem } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { ChooseFile } from '../ui/ChooseFile'
import { ProblemNotice } from '../ui/Notice'

/** A backup back into an installation that holds nothing yet, or only the demo. */
export function RestoreBackup() {
  const [restore, { isLoading, data: restored }] = api.useRestoreBackupMutation()
  const [file, setFile] = useState<File>()
  const [problem, setProblem] = useState<Problem>()

  const begin = async () => {
    if (!file) return
    setProblem(undefined)
    try {
      await restore(file).unwrap()
      setFile(undefined)
    } catch (error) {
      setProblem(problemOf(error))
    }
  }

  return (
    <section aria-labelledby="restore">
      <h2 id="restore" className="mt-6">
        Having it back
      </h2>
      <p className="mb-2 max-w-prose">
        Into a new installation, on this machine or another: empty, or with the demo as it came. The demo then
        goes. It is compared with what was backed up before it is taken over. What holds anything of yours is
        never overwritten.
      </p>
      {problem && <ProblemNotice problem={problem} />}
      {restored ? (
        <p role="status">
          Restored and compared: {restored.trials} trials with {restored.entries} entries,{' '}
          {restored.documents} documents such as units and rigs, {restored.files} files.{' '}
          {/* A new page altogether: what this one knows is of before. */}
          <a className="plain-link" href="/">
            To the bench
          </a>
        </p>
      ) : (
        <div className="flex flex-wrap items-center gap-2">
          <ChooseFile
            accept=".zip,application/zip"
            disabled={isLoading}
            onChoose={([chosen]) => {
              setFile(chosen)
              setProblem(undefined)
            }}
          >
            {file ? 'Choose another' : 'Choose a backup'}
          </ChooseFile>
          {file && (
            <button
              type="button"
              className="action action-main max-w-full break-words"
              disabled={isLoading}
              onClick={() => void begin()}
            >
              {isLoading ? 'Restoring and comparing …' : `Restore ${file.name}`}
            </button>
          )}
        </div>
      )}
      <p className="mt-4 max-w-prose">Or from the terminal, into a folder of its own:</p>
      <pre className="figures bg-raised my-2 p-2 break-words whitespace-pre-wrap">
        EVEN_WATT_DATA=/var/lib/even-watt-2 npm run restore -- /media/stick/even-watt.backup.zip{'\n'}
        EVEN_WATT_DATA=/var/lib/even-watt-2 npm start
      </pre>
    </section>
  )
}

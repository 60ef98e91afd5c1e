import { Page } from '../ui/Page'
import { RestoreBackup } from './RestoreBackup'

/** The whole installation in one file, and how it is had back. */
export function BackupPage() {
  return (
    <Page title="Back up">
      <p className="mb-3 max-w-prose">
        Everything that is here in one file: trials, readings, files, units, rigs. All as it stands at one
        moment. Work can go on meanwhile. Keep it on another disk.
      </p>
      <a className="action action-main" href="/api/backup" download>
        Save a backup
      </a>
      <h2 className="mt-6">From the terminal</h2>
      <p className="max-w-prose">
        The same, read through again after it is written, so that it can be trusted; for a nightly job too:
      </p>
      <pre className="figures bg-raised my-2 p-2 break-words whitespace-pre-wrap">
        npm run backup -- /media/stick/even-watt.backup.zip
      </pre>
      <RestoreBackup />
    </Page>
  )
}

import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, problemOf } from '../api/api'
import { ExportLinks } from '../trials/ExportLinks'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { TextField } from '../ui/form'
import { Notice } from '../ui/Notice'

/** What becomes of the trial as a whole: taken along, put away, or deleted for good. */
export function KeepPage() {
  const { trial, entries, unsent } = useTrial()
  const { data } = api.usePutAwayQuery(trial.id)
  const [setPutAway] = api.useSetPutAwayMutation()
  const put = (away: boolean) =>
    void setPutAway({ id: trial.id, away })
      .unwrap()
      .then(() =>
        answer(away ? `${trial.title} is put away.` : `${trial.title} is back in the list.`, () =>
          put(!away),
        ),
      )
      .catch((error: unknown) => answer(problemOf(error).title))
  return (
    <>
      <StageHead />
      <section className="mb-6">
        <h2>Take it along</h2>
        <p className="mb-2 max-w-prose">
          The whole trial in one file, to be imported anywhere: every rig, meter and reading, and what the
          plan used.
        </p>
        <ExportLinks trial={trial.id} />
      </section>
      <section className="mb-6">
        <h2>Compare it</h2>
        <p className="mb-2 max-w-prose">It is laid beside another trial, or beside several.</p>
        <Link className="action" to={`/compare/new?of=${trial.id}.${trial.revisions.length}`}>
          Compare it
        </Link>
      </section>
      <section className="mb-6">
        <h2>Put it away</h2>
        <p className="mb-2 max-w-prose">
          {data?.away
            ? 'It is put away: not in the list of the bench until it is asked for. Nothing of it changed.'
            : 'Out of the list of the bench, and nothing else: it can be had back at any time.'}
        </p>
        <button type="button" className="action" disabled={!data} onClick={() => put(!data?.away)}>
          {data?.away ? 'Bring it back' : 'Put it away'}
        </button>
      </section>
      <DeleteForGood />
      {unsent.size > 0 && (
        <Notice kind="odd" word="Unsent">
          {unsent.size} of its {entries.length} entries are not at the server yet; they are in none of these
          files.
        </Notice>
      )}
    </>
  )
}

function DeleteForGood() {
  const { trial } = useTrial()
  const navigate = useNavigate()
  const [remove, { isLoading }] = api.useDeleteTrialMutation()
  const [open, setOpen] = useState(false)
  const [title, setTitle] = useState('')
  const [wrong, setWrong] = useState<string>()
  const go = async () => {
    if (title.trim() !== trial.title) {
      setWrong(`Type the title as it stands: ${trial.title}`)
      return
    }
    try {
      await remove({ id: trial.id, title: trial.title }).unwrap()
    } catch (error) {
      setWrong(problemOf(error).title)
      return
    }
    await navigate('/')
    answer(`${trial.title} is deleted for good.`)
  }
  if (!open)
    return (
      <section>
        <h2>Delete it for good</h2>
        <p className="mb-2 max-w-prose">
          Everything that was captured goes, for everybody, and cannot be had back. Putting it away is nearly
          always better.
        </p>
        <button type="button" className="action" onClick={() => setOpen(true)}>
          Delete for good …
        </button>
      </section>
    )
  return (
    <section>
      <h2>Delete it for good</h2>
      <p className="mb-2 max-w-prose">First take a copy along; it is the only way back:</p>
      <ExportLinks trial={trial.id} />
      <form
        noValidate
        className="mt-3 max-w-md"
        onSubmit={(event) => {
          event.preventDefault()
          void go()
        }}
      >
        <TextField
          label={`To delete it, type its title: ${trial.title}`}
          value={title}
          error={wrong}
          onChange={(event) => {
            setTitle(event.target.value)
            setWrong(undefined)
          }}
        />
        <div className="mt-2 flex gap-2">
          <button type="submit" className="action" disabled={isLoading}>
            Delete it for good
          </button>
          <button type="button" className="action action-main" onClick={() => setOpen(false)}>
            Cancel
          </button>
        </div>
      </form>
    </section>
  )
}

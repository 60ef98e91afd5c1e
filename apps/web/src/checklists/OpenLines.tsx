import { readingsOf, worked } from '@even-watt/core'
import { Link } from 'react-router'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'

const named = 3

/** Lines still open on this rig, of lists that were begun in this trial. */
export function OpenLines() {
  const { trial, view, analysis } = useTrial()
  const { data: lists = [] } = api.useChecklistsQuery()
  const checked = readingsOf(view.record, 'checked')
  const begun = new Set(checked.map(({ reading }) => reading.list))
  const { number } = analysis.record.revision
  return lists
    .filter(({ id, beforeTest }) => beforeTest && begun.has(id))
    .map((list) => ({ list, ...worked(list, checked, number) }))
    .filter(({ open, wrong }) => open.length || wrong.length)
    .map(({ list, open, wrong }) => (
      <Notice key={list.id} kind="odd" word="Open lines">
        {list.name}. {wrong.length > 0 && `Found wrong: ${wrong.map(({ line }) => line.words).join(', ')}. `}
        {open.length > 0 &&
          `Open on rig ${number}: ${open
            .slice(0, named)
            .map(({ words }) => words)
            .join(', ')}${open.length > named ? ` and ${open.length - named} more` : ''}. `}
        <Link
          className="plain-link"
          to={`/trials/${trial.id}/look-over/checklists?list=${list.id}&rig=${number}`}
        >
          Work it
        </Link>
      </Notice>
    ))
}

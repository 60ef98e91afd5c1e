import type { Edition } from '@even-watt/contract'
import { saveFile } from '../ui/saveFile'
import { fileName } from './usePublish'

/** What a spreadsheet would take for a formula. */
const formula = /^[=+\-@\t\r]/

const saveJson = (edition: Edition) =>
  saveFile(
    new Blob([`${JSON.stringify(edition, null, 1)}\n`], { type: 'application/json' }),
    fileName(edition.title, edition.number).replace(/html$/, 'json'),
  )

async function saveCsv({ stated, title, number }: Edition): Promise<void> {
  const { default: Papa } = await import('papaparse')
  const table = Papa.unparse(
    { fields: ['about', 'says'], data: stated.map(({ about, says }) => [about, says]) },
    { escapeFormulae: formula, newline: '\r\n' },
  )
  saveFile(
    // The mark tells a spreadsheet that it is UTF-8.
    new Blob(['\ufeff', table], { type: 'text/csv' }),
    fileName(title, number).replace(/html$/, 'csv'),
  )
}

/** What an edition states, as data: the whole of it as JSON, or its figures and verdicts as a table. */
export function EditionData({ edition }: { edition: Edition }) {
  return (
    <span className="ml-3 text-[0.9rem]">
      <button
        type="button"
        className="plain-link"
        aria-label={`Edition ${edition.number} as JSON`}
        onClick={() => saveJson(edition)}
      >
        JSON
      </button>{' '}
      <button
        type="button"
        className="plain-link"
        aria-label={`Edition ${edition.number} as CSV`}
        onClick={() => void saveCsv(edition)}
      >
        CSV
      </button>
    </span>
  )
}

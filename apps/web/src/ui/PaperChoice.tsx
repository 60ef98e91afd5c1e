import { useState } from 'react'
import { printDrawn } from './drawn'

const papers = ['A4', 'Letter'] as const

/** The paper of a page that is printed, and the button that prints it. */
export function PaperChoice({ landscape = false }: { landscape?: boolean }) {
  const [paper, setPaper] = useState<(typeof papers)[number]>('A4')
  return (
    <>
      <style>{`@page {
        size: ${paper}${landscape ? ' landscape' : ''};
        margin: ${landscape ? '12mm' : '16mm 14mm'};
        @bottom-right { content: 'page ' counter(page) ' of ' counter(pages); font-size: 8.5pt; }
      }`}</style>
      <div className="no-print mb-4 flex items-center gap-3">
        <label className="flex items-center gap-2">
          <span className="text-quiet">paper</span>
          <select
            className="input w-auto"
            value={paper}
            onChange={(event) => setPaper(event.target.value as typeof paper)}
          >
            {papers.map((name) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        </label>
        <button type="button" className="action action-main" onClick={() => void printDrawn()}>
          Print
        </button>
      </div>
    </>
  )
}

/** A trial taken along: with its files, without them, its readings and its figures. */
export function ExportLinks({ trial }: { readonly trial: string }) {
  const base = `/api/trials/${trial}`
  return (
    <span className="flex flex-wrap gap-x-5">
      <a className="plain-link" href={`${base}/export.zip`} download>
        ZIP, with its files
      </a>
      <a className="plain-link" href={`${base}/export.json`} download>
        JSON
      </a>
      <a className="plain-link" href={`${base}/export.csv`} download>
        Readings (CSV)
      </a>
      <a className="plain-link" href={`${base}/figures.csv`} download>
        Figures (CSV)
      </a>
    </span>
  )
}

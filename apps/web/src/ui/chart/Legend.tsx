/** How a mark of a chart looks, and what it stands for. */
export interface LegendEntry {
  readonly words: string
  readonly look: 'line' | 'thin line' | 'dashes' | 'dots' | 'point' | 'bar' | 'band'
  readonly colour: string
  /** Filling of a bar or band. */
  readonly fill?: string
}

/** What the marks of a chart stand for, under it. */
export function Legend({ entries }: { readonly entries: readonly LegendEntry[] }) {
  return (
    <ul className="text-quiet flex flex-wrap gap-x-4 text-[0.85rem]" aria-label="Legend">
      {entries.map((entry) => (
        <li key={entry.words} className="flex items-center gap-1.5">
          <Mark {...entry} />
          {entry.words}
        </li>
      ))}
    </ul>
  )
}

const dashes = { line: undefined, 'thin line': undefined, dashes: '6 4', dots: '2 3' } as const

function Mark({ look, colour, fill = 'none' }: LegendEntry) {
  return (
    <svg width="26" height="12" aria-hidden="true" className="shrink-0">
      {look === 'point' ? (
        <circle cx="13" cy="6" r="4" fill={fill} stroke={colour} strokeWidth="1.5" />
      ) : look === 'bar' || look === 'band' ? (
        <rect x="3" y="1.5" width="20" height="9" fill={fill} stroke={look === 'bar' ? colour : 'none'} />
      ) : (
        <line
          x1="1"
          y1="6"
          x2="25"
          y2="6"
          stroke={colour}
          strokeWidth={look === 'line' ? 2.5 : 1.3}
          strokeDasharray={dashes[look]}
        />
      )}
    </svg>
  )
}

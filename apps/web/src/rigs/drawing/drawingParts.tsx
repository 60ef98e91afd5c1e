/** As many characters as fit, with a sign that some are missing. */
export const cut = (text: string, fits: number) =>
  text.length <= fits ? text : `${text.slice(0, Math.max(3, Math.floor(fits) - 1))}…`

/** An ammeter around the conductor it clamps. */
export function Ring({ x, y, words }: { x: number; y: number; words: string }) {
  return (
    <g>
      <ellipse cx={x + 34} cy={y} rx={6} ry={14} fill="none" stroke="var(--ink)" strokeWidth={2} />
      <title>{words}</title>
    </g>
  )
}

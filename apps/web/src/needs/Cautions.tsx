import { authority, sayTemperature } from '@even-watt/core'

/** What a page that sizes a permanent build owes its reader. */
export function Cautions() {
  return (
    <section className="mt-5 max-w-4xl">
      <h2>Before you build it</h2>
      <ul className="list-disc pl-5">
        <li>
          Sizes are a starting table for single copper conductors in free air at {sayTemperature(30)}, bars at
          2 A per mm²: check them against the local code, the terminals’ own rating and how the cables are
          laid.
        </li>
        <li>
          Fuse close to the bank, made for its DC volts and for what a battery gives into a short; lithium
          exceeds what ordinary strip fuses break.
        </li>
        <li>
          Batteries side by side: alike in age and kind, equal leads to bus bars, joined at equal volts.
        </li>
        <li>Never feed a building’s wiring or the grid. Neutral and earth: the unit’s manual decides.</li>
      </ul>
      <p className="mt-1 font-semibold">{authority}</p>
    </section>
  )
}

import {
  eachAlone,
  everyday,
  everydayEnergy,
  ratingToBuy,
  say,
  type NeedLine,
  type OwnNeed,
  type UnitForNeed,
} from '@even-watt/core'
import { BesideTable } from '../comparisons/BesideTable'
import type { Found } from './found'

interface Props {
  readonly found: Found
  readonly need: OwnNeed
  readonly lines: readonly NeedLine[]
}

const looks = {
  fits: { shape: '●', colour: 'text-moss' },
  'not known': { shape: '○', colour: 'text-quiet' },
  'does not fit': { shape: '■', colour: 'text-madder' },
} as const

/** What is asked, in a sentence; then every unit that was tested here against it. */
export function UnitsForNeed({ found, need, lines }: Props) {
  const buy = ratingToBuy(lines)
  return (
    <section className="mt-4" aria-label="The answer">
      <p className="mb-1 text-[1.15rem]">{answerOf(found)}</p>
      <p className="mb-2 max-w-4xl">
        Everything at once takes {say(need.peak, 'W')}
        {everyday(need.peak) && `, ${everyday(need.peak)}`}; in a day {say(need.day, 'Wh')} reach the outlet
        {everydayEnergy(need.day) && `, ${everydayEnergy(need.day)}`}.
      </p>
      <p className="mb-2">
        A label to buy: {say(buy.watts, 'W')} or more for good, a fifth of it to spare
        {buy.surge !== undefined &&
          `; ${say(buy.surge, 'VA', 2)} for a moment, for the hardest start beside all else`}
        .
      </p>
      {found.length > 0 && (
        <BesideTable list={found.map(({ one }) => one)}>
          <Row words="it fits" found={found} cell={({ verdict }) => <Verdict verdict={verdict} />} />
          <Row words="at its outlet" found={found} cell={(fit) => fit.mains.why} />
          <Row
            words="everything at once"
            found={found}
            cell={({ carries }) => `${carries.answer}: ${carries.why}`}
          />
          {lines.length > 1 && (
            <tr>
              <th scope="row">each by itself</th>
              {found.map(({ one }) => (
                <td key={one.name}>
                  {eachAlone(lines, one.analysis).map(({ name, carries }, i) => (
                    <span key={i} className="block">
                      {name}: {carries.answer}. <span className="text-quiet">{carries.why}</span>
                    </span>
                  ))}
                </td>
              ))}
            </tr>
          )}
          {found.some(({ fit }) => fit.starts.length) && (
            <Row
              words="starts, beside all else"
              found={found}
              cell={({ starts }) =>
                starts.map(({ name, found: start }) => (
                  <span key={name} className="block">
                    {name}: {start.answer}. <span className="text-quiet">{start.why}</span>
                  </span>
                ))
              }
            />
          )}
          <Row
            words="from the bank in a day"
            found={found}
            cell={({ fromBank }) =>
              typeof fromBank === 'number' ? (
                <>
                  <span className="figures">{say(fromBank, 'Wh')}</span>
                  <Wasted Wh={fromBank - need.day} />
                </>
              ) : (
                <span className="text-quiet">– {fromBank.missing}</span>
              )
            }
          />
        </BesideTable>
      )}
    </section>
  )
}

function answerOf(found: Found): string {
  const fits = found.filter(({ fit }) => fit.verdict === 'fits')
  const lean = [...fits].sort((a, b) => wh(a.fit) - wh(b.fit))
  const [best] = lean
  if (best)
    return fits.length === 1
      ? `Of what was tested here ${best.one.name} does it.`
      : `Of what was tested here ${fits.map(({ one }) => one.name).join(', ')} do it; ${best.one.name} takes the least from its bank.`
  const open = found.filter(({ fit }) => fit.verdict === 'not known')
  if (!found.length) return 'No unit was tested on this bench yet.'
  return open.length
    ? `No unit was shown to do it; of ${open.map(({ one }) => one.name).join(', ')} it is not known.`
    : 'None of the units tested here does it.'
}

const wh = ({ fromBank }: UnitForNeed) => (typeof fromBank === 'number' ? fromBank : Infinity)

function Verdict({ verdict }: Pick<UnitForNeed, 'verdict'>) {
  const { shape, colour } = looks[verdict]
  return (
    <strong className={colour}>
      {shape} {verdict}
    </strong>
  )
}

/** Wh a day that do not reach the outlet, as a lamp that burns all day. */
function Wasted({ Wh }: { Wh: number }) {
  const mean = everyday(Wh / 24)
  return (
    <span className="text-quiet block">
      {say(Wh, 'Wh')} of it wasted{mean && `: ${mean}, day and night`}
    </span>
  )
}

function Row({
  words,
  found,
  cell,
}: {
  words: string
  found: Found
  cell: (fit: UnitForNeed) => React.ReactNode
}) {
  return (
    <tr>
      <th scope="row">{words}</th>
      {found.map(({ one, fit }) => (
        <td key={one.name}>{cell(fit)}</td>
      ))}
    </tr>
  )
}

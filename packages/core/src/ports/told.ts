import type { EntryOf } from '@even-watt/contract'
import { plain, say } from '../figures'
import type { Analysis, RevisionRecord } from '../trials'
import { claimValue } from '../units'
import { isOf } from './promise'
import { plugSentences } from './plug'
import { neighbours, sharedLimit } from './shared'
import { portTests, sweepsOf, type PortSweep } from './sweep'

/** Half of full apart at least, before two loadings tell whether a port is regulated. */
const chargeApart = 0.3
/** V, as a share, that a regulated port keeps from full to nearly empty. */
const regulated = 0.02
/** A, as a share, within which two loadings are of one load. */
const likeAmps = 0.15

/** What every test of ports says, in sentences, by its entry. */
export function portSentences({ record }: Pick<Analysis, 'record'>): ReadonlyMap<string, readonly string[]> {
  const named = (entries: readonly { entry: EntryOf<'port'> }[], sentences: readonly string[]) =>
    entries.map(({ entry }, i): [string, string[]] => [entry.id, [sentences[i] ?? '']])
  const sweeps = sweepsOf(record)
  return new Map<string, readonly string[]>([
    ...sweeps.map((sweep): [string, string[]] => [
      sweep.entry.id,
      [
        sweep.sentence,
        ...floorWords(sweep),
        ...againstLabel(sweep, record),
        ...displayWords(sweep),
        ...regulatedWords(sweep, sweeps),
      ],
    ]),
    ...named(portTests(record, 'together'), sharedLimit(record).sentences),
    ...named(
      portTests(record, 'neighbour'),
      neighbours(record).map(({ sentence }) => sentence),
    ),
    ...portTests(record, 'offered').map(({ entry, reading }): [string, string[]] => [
      entry.id,
      offerWords(reading),
    ]),
    ...portTests(record, 'cost').map(({ entry, reading }): [string, string[]] => [
      entry.id,
      costWords(reading),
    ]),
    ...portTests(record, 'plug').map(({ entry, reading }): [string, string[]] => [
      entry.id,
      plugSentences(reading),
    ]),
  ])
}

/** Whether it stays above the volts that the tester asks for, at the most that it was loaded with. */
function floorWords({ reading: { floor, port }, points }: PortSweep): string[] {
  if (floor === undefined) return []
  const under = points.find(({ atPort }) => atPort < floor)
  const last = points.at(-1)
  return under
    ? [
        `At ${say(under.amps, 'A', 2)} ${port} gives ${say(under.atPort, 'V')}: under the ${say(floor, 'V')} that you ask for. It fails.`,
      ]
    : last
      ? [
          `It stays above the ${say(floor, 'V')} that you ask for, up to ${say(last.amps, 'A', 2)}. It passes.`,
        ]
      : []
}

/** Where it let go against what is promised of it, in per cent. */
function againstLabel(sweep: PortSweep, record: RevisionRecord): string[] {
  const { cutoff } = sweep.reading
  const end = cutoff ?? sweep.leftAt
  const claim = record.revision.unit.claims.find(
    (one) => one.quantity === 'port' && one.unit !== 'V' && isOf(one, sweep),
  )
  if (end === undefined || !claim) return []
  const promised =
    claim.unit === 'A' ? claimValue(claim) : claimValue(claim) / (claim.portVolts ?? (sweep.asked || NaN))
  if (!Number.isFinite(promised)) return []
  const apart = 100 * (end / promised - 1)
  const what = cutoff === undefined ? 'lets go' : 'cuts off'
  return [
    apart < 0
      ? `It ${what} ${say(-apart, '%', 2)} under the ${say(promised, 'A', 2)} that are promised.`
      : `It ${what} ${say(apart, '%', 2)} above the ${say(promised, 'A', 2)} that are promised: that is its margin.`,
  ]
}

function displayWords({ reading: { shown }, points }: PortSweep): string[] {
  const last = points.at(-1)
  if (shown === undefined || !last || !(last.watts > 0)) return []
  const off = 100 * (shown / last.watts - 1)
  return [
    `Its display said ${say(shown, 'W')} for ${say(last.watts, 'W')}: ${say(Math.abs(off), '%', 2)} too ${off < 0 ? 'little' : 'much'}.`,
  ]
}

/** The same load with a full and with a low store: do its volts stand? */
function regulatedWords(sweep: PortSweep, all: readonly PortSweep[]): string[] {
  const { charge, port } = sweep.reading
  const here = sweep.points.at(-1)
  if (charge === undefined || !here) return []
  const pairs = all.flatMap((other) => {
    const full = other.reading.charge
    if (other.reading.port !== port || full === undefined || full - charge < chargeApart) return []
    const there = other.points.find(({ amps }) => Math.abs(amps / here.amps - 1) <= likeAmps)
    return there ? [{ full, there }] : []
  })
  return pairs.slice(0, 1).map(({ full, there }) => {
    const fell = there.atPort - here.atPort
    const share = fell / there.atPort
    return `From ${say(100 * full, '%', 2)} to ${say(100 * charge, '%', 2)} charge its volts ${fell < 0 ? 'rise' : 'fall'} by ${say(Math.abs(fell), 'V', 2)} (${say(100 * Math.abs(share), '%', 2)}): it is ${Math.abs(share) <= regulated ? 'regulated' : 'not regulated'}.`
  })
}

type Reading<T extends 'offered' | 'cost'> = ReturnType<typeof portTests<T>>[number]['reading']

function offerWords({ port, offers, cable }: Reading<'offered'>): string[] {
  const said = offers.map(
    ({ volts, amps }) =>
      `${plain(volts)} V${amps === undefined ? '' : ` ${plain(amps)} A (${say(volts * amps, 'W')})`}`,
  )
  const most = Math.max(0, ...offers.map(({ volts, amps = 0 }) => volts * amps))
  return [
    `${port} offers ${said.join(', ')}${cable ? `, over a cable ${cable}` : ''}.`,
    ...(most > 0 ? [`${say(most, 'W')} is the most of them.`] : []),
  ]
}

function costWords({ port, volts, amps, before, with: taken }: Reading<'cost'>): string[] {
  const [out, more] = [volts * amps, taken - before]
  if (more <= 0) return [`${port}: the unit takes no more with it than without. Were the two exchanged?`]
  if (out > more)
    return [
      `${port} gives ${say(out, 'W')} for ${say(more, 'W')} more: that cannot be. Read both at one moment.`,
    ]
  return [
    `${port} gives ${say(out, 'W')} for ${say(more, 'W')} more into the unit: ${say((100 * out) / more, '%')} of it.`,
    `${say(more - out, 'W', 2)} are lost on the way.`,
  ]
}

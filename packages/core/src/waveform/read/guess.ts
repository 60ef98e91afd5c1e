import type { ChannelQuantity, Recipe } from '@even-watt/contract'
import { basicsOf } from '../basics'
import { type Columns } from './columns'
import { prefixes } from './table'

/** What a heading says of its column. */
interface Said {
  readonly kind: 'time' | 'volts' | 'amperes' | undefined
  /** s, V or A for one of its units. */
  readonly factor: number
  readonly quantity: ChannelQuantity | undefined
}

const named: readonly (readonly [RegExp, ChannelQuantity])[] = [
  [/\bV_?C\b|outlet|output v/i, 'V_C'],
  [/\bV_?L2\b|second leg/i, 'V_L2'],
  [/\bI_?C\b|output (a|current)/i, 'I_C'],
  [/\bV_?B\b|batt|terminal|dc v/i, 'V_B'],
  [/\bI_?B\b|\bI_?DC\b|input (a|current)|dc (a|current)/i, 'I'],
]

/** Unit with its prefix: "(ms)", "[kV]", "V_C/V", "s V mV" of a row of its own. */
function unitIn(heading: string): { unit: string; factor: number } | undefined {
  const found = /(?:[([/]\s*|\s|^)([mkMµμun]?)(s|sec|seconds|V|volts?|A|amps?|amperes?)\s*(?:[)\]]|$)/.exec(
    heading,
  )
  return found ? { unit: (found[2] ?? '').charAt(0), factor: prefixes[found[1] ?? ''] ?? 1 } : undefined
}

function saidBy(heading: string): Said {
  const quantity = named.find(([pattern]) => pattern.test(heading))?.[1]
  // A shunt or clamp says how many volts an ampere is.
  const clamp = /([\d.]+)\s*([mµ]?)V\s*(?:per|\/)\s*A/i.exec(heading)
  const unit = unitIn(heading.replace(clamp?.[0] ?? '\0', ''))
  if (clamp)
    return {
      kind: 'amperes',
      factor: (unit?.factor ?? 1) / (Number(clamp[1]) * (prefixes[clamp[2] ?? ''] ?? 1)),
      quantity: quantity ?? undefined,
    }
  const factor = unit?.factor ?? 1
  if (/\btime\b|zeit|^t\b|\bsec/i.test(heading) || unit?.unit === 's')
    return { kind: 'time', factor, quantity: undefined }
  const kind =
    unit?.unit === 'A' || quantity?.startsWith('I') ? 'amperes' : unit || quantity ? 'volts' : undefined
  return { kind, factor, quantity }
}

/**
 * What each column is, by its heading and its numbers: the recipe that a tester looks over before a capture is kept. A column
 * that says neither unit nor name is taken for volts at the outlet if it is the only one, else left for the tester to name.
 */
export function guessRecipe({ columns, rate, ofFullScale }: Columns): Recipe {
  const said = columns.map(({ heading }) => saidBy(heading))
  const rises = (i: number) => {
    const values = columns[i]?.values
    return !!values && columns.length > 1 && values.every((v, k) => k === 0 || v >= (values[k - 1] as number))
  }
  const timeAt =
    rate === undefined
      ? said.findIndex(({ kind }, i) => kind === 'time' || (i === 0 && kind === undefined && rises(i)))
      : -1
  const used = new Set<ChannelQuantity>()
  const others = columns.length - (timeAt >= 0 ? 1 : 0)
  const channels = columns.flatMap(({ values }, column): Recipe['channels'] => {
    const { kind, factor, quantity } = said[column] as Said
    if (column === timeAt || kind === 'time') return []
    if (kind === undefined && others > 1 && used.size) return []
    const { rms, dc } = basicsOf(values)
    const direct = Math.abs(dc) > 0.9 * rms
    const wanted: ChannelQuantity[] =
      kind === 'amperes' ? [direct ? 'I' : 'I_C'] : direct ? ['V_B'] : ['V_C', 'V_L2']
    const taken = [...(quantity ? [quantity] : []), ...wanted].find((one) => !used.has(one))
    if (!taken) return []
    used.add(taken)
    return [{ column, quantity: taken, factor: ofFullScale ? 1 : factor }]
  })
  return {
    channels,
    ...(timeAt >= 0 ? { time: { column: timeAt, factor: (said[timeAt] as Said).factor } } : {}),
    ...(rate === undefined ? {} : { rate }),
  }
}

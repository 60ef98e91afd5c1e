import type { LoadKind } from '@even-watt/contract'
import { parseMeasure } from '../entry'
import { say } from '../figures'

interface QuickLoad {
  readonly name: string
  readonly kind: LoadKind
  readonly volts: number
  readonly settings: readonly { readonly name: string; readonly watts: number }[]
}

export type Quick = { ok: true; load: QuickLoad } | { ok: false; why: string }

/** Words that tell the kind of a load; what none of them names is taken for an element, and can be changed. */
const telling: readonly (readonly [RegExp, LoadKind])[] = [
  [/microwave/i, 'microwave'],
  [/induction/i, 'electronic'],
  [/heater|kettle|\boven\b|\bplate\b|\biron\b|toaster/i, 'element'],
  [/lamp|bulb|halogen/i, 'filament'],
  [/pump|compressor|freezer|fridge|fan|centrifuge/i, 'induction motor'],
  [/drill|saw|vacuum|grinder|blender/i, 'brush motor'],
  [/charger|computer|laptop|dock|led|screen/i, 'electronic'],
]

const mostWatts = 20_000

/**
 * Reads one line such as "kettle 1750 W 230 V" or "plate 350/700 W": words, watts of each setting, volts. Volts left out
 * are those given as usual.
 */
export function quickLoad(line: string, usualVolts: number): Quick {
  const volts = /(\d+(?:[.,]\d+)?)\s*v\b/i.exec(line)
  const watts = /(\d+(?:[.,]\d+)?(?:\s*(?:(?:kw|w|hp)\s*)?\/\s*\d+(?:[.,]\d+)?)*)\s*(kw|w|hp)\b/i.exec(line)
  const name = [volts?.[0], watts?.[0]]
    .reduce<string>((rest, part) => (part === undefined ? rest : rest.replace(part, ' ')), line)
    .replace(/[\s,;]+/g, ' ')
    .trim()
  if (!name) return { ok: false, why: 'A load needs a name: "kettle 1750 W 230 V".' }
  if (!watts)
    return { ok: false, why: `"${name}": how many watts? Write them with their unit: "kettle 1750 W".` }
  const unit = watts[2] ?? 'W'
  const numbers = (watts[1] ?? '')
    .split('/')
    .map((text) => parseMeasure(/[a-z]\s*$/i.test(text) ? text : `${text.trim()} ${unit}`, 'power'))
  const settings: { name: string; watts: number }[] = []
  for (const [i, parsed] of numbers.entries()) {
    if (!parsed.ok) return { ok: false, why: parsed.why }
    if (!(parsed.value > 0) || parsed.value > mostWatts) {
      return {
        ok: false,
        why: `Watts: above 0 and up to ${mostWatts}; ${say(parsed.value, 'W')} is no plug-in load.`,
      }
    }
    settings.push({ name: numbers.length > 1 ? String(i + 1) : '', watts: parsed.value })
  }
  const V = volts ? Number((volts[1] ?? '').replace(',', '.')) : usualVolts
  if (!(V > 0) || V > 1000) return { ok: false, why: 'Volts: above 0 and up to 1000.' }
  const kind = telling.find(([words]) => words.test(name))?.[1] ?? 'element'
  return { ok: true, load: { name, kind, volts: V, settings } }
}

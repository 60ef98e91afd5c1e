import { plain, sayCableSize, sayLength } from '../figures'
import type { Battery, Cable, Chemistry, PathElement, Rig, Support } from '@even-watt/contract'
import { flexibleStranding, parseGauge } from '../conductors'
import { parseMeasure, parseNumber } from '../entry'
import { describeBank } from '../supply'

const chemistryWords: readonly (readonly [RegExp, Chemistry])[] = [
  [/lifepo4|lfp|iron phosphate/, 'lithium iron phosphate'],
  [/agm/, 'AGM'],
  [/gel/, 'gel'],
  [/flooded|lead|wet/, 'flooded lead-acid'],
  [/lithium|li.?ion|nmc/, 'other lithium'],
]

/** What a line says of a rig, in words, piece by piece; what it does not say is not known. */
export interface RigLine {
  readonly rig: Rig | undefined
  readonly understood: readonly string[]
  readonly fault: string | undefined
}

const longest = 200
const example = 'Write it like "12 V 100 Ah AGM, leads 25 mm² 1.2 m, fuse 100 A".'

/**
 * A rig from one line, pieces set apart by commas: the bank with its volts, and what is known of capacity, kind, leads, fuse
 * or breaker, and a charger (docs/method/rigs.md). Nothing is made up: leads as supplied are leads that nobody knows.
 */
export function rigFromLine(line: string, newId: () => string): RigLine {
  const none = (fault: string): RigLine => ({ rig: undefined, understood: [], fault })
  if (line.length > longest) return none(`The rig: ${longest} characters at most.`)
  const pieces = line
    .split(/,(?!\d)|;/)
    .map((piece) => piece.trim())
    .filter(Boolean)
  let bank: Battery[][] | undefined
  let [leads, devices]: [Cable[] | undefined, PathElement[]] = [undefined, []]
  let support: Support | undefined
  for (const piece of pieces) {
    const low = piece.toLowerCase()
    const amps = /(\d{1,5}(?:[.,]\d{1,2})?) ?a\b(?! ?h)/.exec(low)?.[1]
    const device = /fuse|breaker/.exec(low)?.[0] as 'fuse' | 'breaker' | undefined
    if (device) {
      if (/^no\b/.test(low)) continue
      const current = parseNumber(amps ?? '')
      if (!current.ok || current.value <= 0)
        return none(`"${piece.slice(0, 30)}": of how many amps? ${example}`)
      devices = [...devices, { id: newId(), name: device, kind: device, continuous: current.value }]
    } else if (/charger|alternator/.test(low)) {
      const current = parseNumber(amps ?? '')
      if (!current.ok || current.value <= 0)
        return none(`"${piece.slice(0, 30)}": of how many amps? ${example}`)
      const kind = low.includes('alternator') ? 'alternator' : 'charger'
      support = {
        kind,
        name: kind === 'charger' ? 'Charger' : 'Alternator',
        current: current.value,
        ownUse: 0,
      }
    } else if (/lead|cable|awg|mm²|mm2/.test(low) && !/\d ?(?:v|ah)\b/.test(low)) {
      const read = readLeads(low, newId)
      if (typeof read === 'string') return none(`${read} ${example}`)
      leads = read
    } else if (/\d ?v\b/.test(low)) {
      const read = readBank(low, newId)
      if (typeof read === 'string') return none(`${read} ${example}`)
      bank = read
    } else return none(`"${piece.slice(0, 30)}" is not understood. ${example}`)
  }
  if (!bank) return none(`The rig: say at least the volts of its bank. ${example}`)
  const [plus, minus] = leads ?? []
  const rig: Rig = {
    name: line.trim().slice(0, 120),
    bank: {
      name: 'bank',
      strings: bank,
      join: {
        kind: 'in line',
        positive: bank.slice(1).map(() => usualLink),
        negative: bank.slice(1).map(() => usualLink),
        positiveAt: 0,
        negativeAt: 0,
      },
    },
    ...(support ? { support } : {}),
    ...(leads ? {} : { leads: 'not known' }),
    positive: [...devices, ...(plus ? [plus] : [])],
    negative: minus ? [minus] : [],
    ambient: 25,
    assignments: [],
  }
  return {
    rig,
    fault: undefined,
    understood: [
      describeBank(rig.bank).replace(/^bank: /, ''),
      plus ? `leads ${low(plus)}` : 'leads not known',
      ...devices.map(({ kind, ...one }) => `${kind} ${'continuous' in one ? (one.continuous ?? '') : ''} A`),
      ...(devices.length ? [] : ['no fuse named']),
      ...(support ? [`${support.kind} ${plain(support.current)} A`] : []),
    ],
  }
}

/** Ω of a short link between neighbours in a bank. */
const usualLink = 0.0002

const low = ({ conductors: [one] }: Cable): string => {
  const gauge = one?.gauge
  return gauge ? `${sayCableSize(gauge)}, ${sayLength(one.length)} each` : ''
}

function readBank(text: string, newId: () => string): Battery[][] | string {
  const volts = /(\d{1,3}(?:[.,]\d{1,2})?) ?v\b/.exec(text)?.[1]
  const nominal = parseNumber(volts ?? '')
  if (!nominal.ok || nominal.value <= 0) return 'The bank: of how many volts?'
  const hours = /(\d{1,5}(?:[.,]\d{1,2})?) ?ah\b/.exec(text)?.[1]
  const capacity = hours === undefined ? undefined : Number(hours.replace(',', '.'))
  if (capacity === 0) return 'The bank: 0 Ah is no bank.'
  const many = Number(/^(\d{1,2}) ?[x×*]/.exec(text)?.[1] ?? 1)
  if (many < 1 || many > 16) return 'The bank: 1 to 16 batteries.'
  const chemistry = chemistryWords.find(([words]) => words.test(text))?.[1] ?? 'not known'
  const battery = (i: number): Battery => ({
    id: newId(),
    name: many > 1 ? `battery ${i + 1}` : 'battery',
    chemistry,
    nominal: nominal.value,
    ...(capacity === undefined ? {} : { capacity }),
    open: false,
  })
  const all = Array.from({ length: many }, (_, i) => battery(i))
  return /parallel/.test(text) ? all.map((one) => [one]) : [all]
}

/**
 * A rig of which nobody knew the leads, with what is said of them now: "16 mm² 1 m". Each stands at the end of its side, before the
 * unit. What is wrong in a sentence, where it is no size and length.
 */
export function withLeads<R extends Rig>(rig: R, said: string, newId: () => string): R | string {
  const read = readLeads(said.toLowerCase(), newId)
  if (!read || typeof read === 'string')
    return `${read ?? 'Leads: of which size?'} Write it like "16 mm² 1 m".`
  const [plus, minus] = read
  const known: R = { ...rig, positive: [...rig.positive, plus], negative: [...rig.negative, minus] }
  delete known.leads
  return known
}

/** Two cables alike; nothing where they are as supplied; or what is wrong. */
function readLeads(text: string, newId: () => string): [Cable, Cable] | undefined | string {
  const gauge = /\d{1,4}(?:[.,]\d{1,2})? ?mm(?:²|2)|\d{1,2}(?:\/0)? ?awg|awg ?\d{1,2}/.exec(text)?.[0]
  if (gauge === undefined) {
    const slipped = /\d{1,4}(?:[.,]\d{1,2})? ?mm\b/.exec(text)?.[0]
    return slipped && `"${slipped}" is a length: is ${slipped}² meant? Then write so.`
  }
  const parsed = parseGauge(gauge)
  if (!parsed.ok) return parsed.why
  const rest = text.replace(gauge, ' ')
  const length = parseMeasure(
    /(\d{1,3}(?:[.,]\d{1,2})?) ?(?:m|cm|mm|ft|in)\b/.exec(rest)?.[0] ?? '',
    'length',
  )
  if (!length.ok || length.value <= 0) return `Leads of ${gauge}: how long is each?`
  const cable = (name: string): Cable => ({
    id: newId(),
    name,
    kind: 'cable',
    insulation: 70,
    conductors: [
      {
        gauge: parsed.gauge,
        length: length.value,
        runs: 1,
        material: 'copper',
        strandingFactor: flexibleStranding,
      },
    ],
  })
  return [cable('positive lead'), cable('negative lead')]
}

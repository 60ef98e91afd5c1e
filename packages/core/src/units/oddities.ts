import type { Notice, Oddity } from '../oddities'
import { claimValue, sayClaim } from './claims'

/** 16: W for VA, Ah for Wh; 30: units mixed. */
export const noticeClaimUnits: Notice = ({ analysis, unit }) => {
  const revision = analysis.record.revision.number
  return unit.claims.flatMap((claim): Oddity[] => {
    const at = { revision, claim: claim.id }
    const power = claim.quantity === 'continuous power' || claim.quantity === 'surge power'
    if (power && claim.unit === 'VA') {
      return [
        {
          number: 16,
          odd: `${claim.quantity} is printed in VA.`,
          why: 'VA are not watts: into a load of power factor 0.8 they are a fifth more.',
          todo: 'Judge it with resistive loads, and say so.',
          at,
        },
      ]
    }
    if (claim.quantity === 'energy' && claim.unit === 'Ah') {
      return [
        {
          number: 16,
          odd: 'Energy is printed in Ah.',
          why: 'Ah say nothing without the voltage they are drawn at.',
          todo: 'Find the Wh, or the mean discharge volts.',
          at,
        },
      ]
    }
    if (!allowed[claim.quantity].includes(claim.unit)) {
      return [
        {
          number: 30,
          odd: `${claim.quantity} in ${claim.unit}: the unit does not fit the quantity.`,
          why: 'The claim cannot be judged as it stands.',
          todo: 'Look at the label again.',
          at,
        },
      ]
    }
    return []
  })
}

const allowed: Record<Parameters<typeof claimValue>[0]['quantity'], readonly string[]> = {
  'continuous power': ['W', 'kW', 'VA'],
  'surge power': ['W', 'kW', 'VA'],
  efficiency: ['%'],
  'idle draw': ['W', 'A'],
  'search-mode draw': ['W', 'A'],
  regulation: ['%', 'V'],
  THD: ['%'],
  wave: ['%'],
  'output voltage': ['V', '%'],
  frequency: ['Hz', '%'],
  'alarm voltage': ['V'],
  'cutoff voltage': ['V'],
  'overload trip': ['W', 'kW', '%'],
  recovery: ['s', 'ms'],
  'start-up time': ['s', 'ms'],
  'soft start': ['s', 'ms'],
  'ground-fault test': ['s', 'ms'],
  'transfer time': ['s', 'ms'],
  energy: ['Wh', 'kWh', 'Ah'],
  'run time': ['h', 'min', 's'],
  port: ['W', 'A', 'V'],
  'charge power': ['W', 'A'],
  'charge time': ['h', 'min'],
  'mode draw': ['W', 'A'],
  noise: ['dB(A)'],
  'case temperature': ['°C'],
  'overload time': ['s', 'min', 'h'],
  cycles: ['cycles'],
}

/** 19: missing disclosure. */
export const noticeDisclosure: Notice = ({ analysis, unit }) =>
  unit.provenance
    ? []
    : [
        {
          number: 19,
          odd: 'Where this unit came from is not said.',
          why: 'Readers weigh a result by who paid for the unit.',
          todo: 'Say whether it was bought, lent or given by the maker.',
          at: { revision: analysis.record.revision.number, part: 'unit' },
        },
      ]

/** 17: a rating of something else taken for the continuous one, by the model's own number or by its size. */
export const noticeWrongRating: Notice = ({ analysis, unit }) => {
  const revision = analysis.record.revision.number
  const continuous = unit.claims.find(({ quantity }) => quantity === 'continuous power')
  const surge = unit.claims.find(({ quantity }) => quantity === 'surge power')
  if (!continuous) return []
  const todo = 'Look at the label again: AC output, solar input and surge are easily confused.'
  const at = { revision, claim: continuous.id }
  if (surge && claimValue(surge) < claimValue(continuous)) {
    return [
      {
        number: 17,
        odd: `The surge rating, ${sayClaim(surge)}, is below the continuous one, ${sayClaim(continuous)}.`,
        why: 'One of them rates something else.',
        todo,
        at,
      },
    ]
  }
  const volts = [unit.inputVoltage, unit.outputVoltage]
  const numbers = (unit.name.match(/\d{3,}/g) ?? []).map(Number).filter((number) => !volts.includes(number))
  if (!numbers.length || numbers.includes(claimValue(continuous))) return []
  const other = unit.claims.find(
    (claim) =>
      claim.quantity !== 'continuous power' && claim.unit !== 'V' && numbers.includes(claimValue(claim)),
  )
  if (!other) return []
  return [
    {
      number: 17,
      odd: `The number in ${unit.name} is its ${other.quantity}, ${sayClaim(other)}; it carries ${sayClaim(continuous)}.`,
      why: 'Readers take the number in a name for what the unit carries all day.',
      todo,
      at,
    },
  ]
}

import type { Unit } from '@even-watt/contract'
import { decides, derive, furthest, isFigure, stated, whenKnown, type Derived, type Figure } from '../figures'
import type { OnRig } from '../held'
import { divide, exact, subtract } from '../meters'
import type { Analysis } from '../trials'

/** What a unit gives its equipment, at its worst over nothing connected and the loads that it carried. */
export interface Supplied {
  readonly wave: Unit['wave']
  /** Whether somebody saw it, or only the label says it. */
  readonly waveSeen: boolean
  /** Lowest and highest volts, off those of the place or nominal, as shares. */
  readonly lowest: Derived
  readonly highest: Derived
  /** What the volts stand off. */
  readonly against: 'the mains here' | 'its nominal volts'
  readonly hertzLow: Derived
  readonly hertzHigh: Derived
  readonly distortion: Derived
}

const off = (figure: Derived, reference: Derived, symbol: string): Derived =>
  whenKnown([figure, reference], ([x, from]) =>
    derive(
      `${symbol} off`,
      '%',
      `(${symbol} − reference) / reference`,
      [x],
      divide(subtract(x.x, from.x), exact(from.x.value)),
    ),
  )

const carried = ({ ladder }: Analysis) => ladder.steps.filter((step) => step.carried)

/** The worst of what was read with nothing connected and at each load that was carried; only what may decide. */
export function suppliedBy({ analysis, mains }: OnRig): Supplied {
  const { noLoad, record, evidence } = analysis
  const { outputVoltage, outputFrequency, wave: labelled } = record.revision.unit
  const steps = carried(analysis)
  const nominal = mains ? (mains.volts * noLoad.on.nominal) / outputVoltage : noLoad.on.nominal
  const all = (quantity: 'V_C' | 'f' | 'THD') =>
    [noLoad.on.read[quantity], ...steps.map(({ read }) => read[quantity])].filter(decides)
  const worst = (quantity: 'V_C' | 'f', which: 'lowest' | 'highest', reference: Derived) =>
    off(furthest(which, all(quantity), `${words[quantity]} were not read.`), reference, quantity)
  const [volts, hertz] = [
    stated('V_nom', 'V', nominal, ''),
    stated('f_nom', 'Hz', mains?.hertz ?? outputFrequency, 'No hertz are stated.'),
  ]
  return {
    wave: evidence.wave,
    waveSeen: evidence.wave !== labelled || analysis.captures.seen.length > 0 || all('THD').length > 0,
    lowest: worst('V_C', 'lowest', volts),
    highest: worst('V_C', 'highest', volts),
    against: mains ? 'the mains here' : 'its nominal volts',
    hertzLow: worst('f', 'lowest', hertz),
    hertzHigh: worst('f', 'highest', hertz),
    distortion: furthest('highest', all('THD').filter(isFigure), 'Its distortion was not read.'),
  }
}

const words = { V_C: 'Its output volts', f: 'Its hertz' } as const

/** The larger of two by size. */
export const larger = (a: Figure, b: Figure): Figure => (Math.abs(a.x.value) > Math.abs(b.x.value) ? a : b)

import { isFigure, type Derived, type Figure, type Refusal } from '../figures'
import { expanded } from '../meters'

/** The most that any inverter gives of what it takes (docs/method/oddities.md, 1). */
const most = 0.98

/** Whether an efficiency is one that no inverter has, over the most or below zero, beyond what its readings may be off. */
export const isImpossible = (eta: Derived): eta is Figure =>
  isFigure(eta) && (eta.x.value - expanded(eta.x) > most || eta.x.value + expanded(eta.x) < 0)

const noSuchInverter: Refusal = {
  why: 'no inverter has such an efficiency; one of the readings behind it is off.',
  todo: 'Read input volts, amps and output watts again; look at ranges, zero and which way the clamp is.',
}

/** A figure of a step whose efficiency is such: it is shown, and decides nothing. */
export const unlessImpossible = (eta: Derived, figure: Derived): Derived =>
  isFigure(figure) && isImpossible(eta) ? { ...figure, refused: figure.refused ?? noSuchInverter } : figure

import type { Claim } from '@even-watt/contract'
import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../../court'
import { formatNumber, isFigure, plain, sayFigure, type Figure } from '../../figures'
import type { EnergyName } from '../../logs'
import { claimedValue, claimValue, ratedPower } from '../../units'
import { runDownsOf, type RunDown } from '../runDown'
import { atLoad, runDownHindrances, sayLoad } from './store'

const fits = ({ watts }: RunDown, { load }: Claim) =>
  load === undefined || (watts !== undefined && Math.abs(watts / load - 1) <= atLoad)

const nameOf = ({ unit, means }: Claim): EnergyName =>
  unit === 'Ah' ? 'Q_B' : means === 'cells' ? 'E_B' : 'E_C'

/**
 * Energy by run-downs: to its end exactly, ended before at least so much; like loads are averaged. What its label means is a
 * school that is recorded with the claim: what the outlet gave is a bound of what the cells gave (docs/method/endurance.md).
 */
export const energy: Promised = {
  units: ['Wh', 'kWh', 'Ah'],
  usual: { unit: 'Wh', comparator: 'at least' },
  asks: ['means', 'load'],
  at: 'endurance',
  several: 'pooled',
  room: 'cold',
  voltsOf: 'steady',
  evidence: (asked) => {
    const { claim, analysis } = asked
    return runDownsOf(analysis)
      .filter((one) => one.log.ended && fits(one, claim))
      .flatMap((one) => evidenceOf(one, asked))
  },
  absent: () => 'The energy was not tested. It needs a run-down to cutoff with watt-hours at the outlet.',
}

function evidenceOf(one: RunDown, asked: Asked): Evidence[] {
  const { claim } = asked
  const name = nameOf(claim)
  const { figure } = one.log.energies[name]
  const against = runDownHindrances(one, asked)
  if (isFigure(figure)) return [ofFigure(one, figure, against, asked)]
  if (claim.means !== 'cells' || !isFigure(one.delivered)) return []
  const { delivered } = one
  return [
    {
      code: 'at the outlet',
      figure: delivered,
      bound: 'at least',
      hindrances: against,
      open: hindrance('label not clear', () => ({
        why: 'What the cells gave has no tap.',
        would: 'A run-down of the cells themselves, by who may open it, would show it.',
      })),
      found: () => `at the outlet it gave ${sayFigure(delivered)}`,
    },
  ]
}

function ofFigure(one: RunDown, figure: Figure, against: readonly Hindrance[], { claim }: Asked): Evidence {
  const whole = one.complete && !one.late
  const unclear = claim.means === undefined && claim.unit !== 'Ah'
  const found = () => `what it gave at ${sayLoad(one.watts)} W is ${sayFigure(figure)}`
  return {
    code: whole ? 'run down' : 'ended before',
    figure,
    bound: whole ? 'exact' : 'at least',
    hindrances: [
      ...against,
      ...(unclear && claimValue(claim) > figure.x.value ? [labelNotClear(figure, claim)] : []),
    ],
    open: one.late ? beganLate() : endedBefore(),
    alike: loadKey(one),
    found,
    beside: () => (one.why === undefined ? [] : [one.why]),
  }
}

/** Run-downs at loads within a tenth of each other are averaged. */
const loadKey = ({ watts }: RunDown) =>
  watts === undefined || !(watts > 0) ? 'no load' : String(Math.round(Math.log(watts) / Math.log(1.1)))

const labelNotClear = (figure: Figure, claim: Claim) =>
  hindrance('label not clear', () => ({
    why: `That is ${formatNumber((100 * figure.x.value) / claimValue(claim), 0)} % of its label, which does not say whether it means the cells or the outlet.`,
    would: 'Find out what its label means, and note it with the claim.',
  }))

const endedBefore = () =>
  hindrance('time too short', () => ({
    why: 'It was ended before it was empty.',
    would: 'A run-down to its cutoff would show it.',
  }))

const beganLate = () =>
  hindrance('less than it seems', () => ({
    why: 'Its log begins late: what it gave before is not counted.',
    would: 'Log it from the beginning.',
  }))

/** h that a store usually takes to be charged, where its label does not say. */
const usualCharge = 5
const hoursOfYear = 8766

/** Nothing of it can be tested here: how long that would take is told. */
export const cycles: Promised = {
  units: ['cycles'],
  usual: { unit: 'cycles', comparator: 'at least' },
  at: 'endurance',
  several: 'worst',
  room: 'stated',
  voltsOf: 'steady',
  evidence: () => [],
  absent: ({ claim, analysis }) => {
    const { unit } = analysis.record.revision
    const [Wh, W, charge] = [
      claimedValue(unit, 'energy'),
      ratedPower(unit),
      claimedValue(unit, 'charge time'),
    ]
    const hours = Wh && W ? Wh / W + (charge === undefined ? usualCharge : charge / 3600) : 2 * usualCharge
    return `${plain(claimValue(claim))} cycles would take about ${formatNumber((claimValue(claim) * hours) / hoursOfYear, 1)} years, day and night: no test of a bench. What the store still gives after some of them is a run-down of its own.`
  },
}

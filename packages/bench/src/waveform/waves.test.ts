import { analyseCapture, powerTerms, type Sampled } from '@even-watt/core/waveform/index'
import { operate } from '../ladder/operate'
import { seeded } from '../random'
import { shelf } from '../scenario/loads'
import { bankTruth, pathTruth, stationBanks, stationRigs } from '../scenario/rigs'
import { unitModels } from '../scenario/units'
import { loadCurrent, motorCurrent } from './loadCurrent'
import { outletWave, rmsOf, sineWave, stepsFor, type Wave } from './outlet'
import { generatorWave, gridWave, hunting } from './references'
import { sample, steadily, type Scope } from './scope'

const perfect: Scope = {
  name: 'perfect',
  bits: 24,
  rate: 250_000,
  percent: 0,
  gain: 0,
  offset: 0,
  noise: 0,
  skew: 0,
}

const pellam = {
  bank: bankTruth(stationBanks.g12x3),
  path: pathTruth(stationRigs.g12),
  unit: unitModels.pellam,
}
const ottrel = {
  bank: bankTruth(stationRigs.l24.bank),
  path: pathTruth(stationRigs.l24),
  unit: unitModels.ottrel,
}

const captured = (volts: Wave, amps?: Wave) => {
  const read = (wave: Wave, quantity: Sampled['channels'][number]['quantity'], channel: number) => ({
    quantity,
    x: sample(perfect, wave, steadily(50, 0.1), { seconds: 0.22, random: seeded(1), channel }),
  })
  return analyseCapture({
    dt: 1 / perfect.rate,
    times: undefined,
    channels: [read(volts, 'V_C', 0), ...(amps ? [read(amps, 'I_C', 1)] : [])],
  }).figures
}

describe('waves of the stand-in bench agree with its RMS values', () => {
  it.each([
    ['Ottrel', ottrel, [shelf.plateHigh]],
    ['Ottrel at rated', ottrel, [shelf.ovenHigh, shelf.lamps(4)]],
    ['Pellam', pellam, [shelf.ovenLow]],
    ['Pellam at rated', pellam, [shelf.ovenLow, shelf.waxBath]],
    ['nothing connected', pellam, []],
  ])('%s: volts, watts and distortion', (_, bench, loads) => {
    const truth = operate(bench, loads)
    if (!truth) throw new Error('not carried')
    const volts = outletWave(bench.unit, truth)
    const figures = captured(volts, loads.length ? loadCurrent(loads, volts, 50) : undefined)
    const [v] = figures.channels
    expect((v?.rms ?? 0) / truth.V_C).toBeCloseTo(1, 3)
    if (loads.length) expect((figures.P ?? 0) / truth.P_C).toBeCloseTo(1, 3)
    if (bench === ottrel) expect((v?.wave?.thd ?? 0) / truth.THD).toBeCloseTo(1, 2)
    else expect(v?.wave?.class).toBe('stepped')
  })
  it('the Pellam stands at its top for 0.72 of the half cycle, and its plateaus fall with load', () => {
    const at = (watts: number) => stepsFor(unitModels.pellam.wave, { V_B: 12.6, V_C: 226, P_C: watts })
    expect(at(0).delta).toBeCloseTo(0.72, 2)
    expect(at(900).droop).toBeCloseTo(0.1, 2)
    expect(at(900).delta).toBeGreaterThan(at(0).delta)
  })
  it('a sine is cut off where the terminals do not carry its peak, and keeps its RMS', () => {
    const cut = sineWave(230, 0.01, 300)
    expect(rmsOf(cut)).toBeCloseTo(230, 1)
    expect(captured(cut).channels[0]?.max).toBeCloseTo(300, 1)
    expect(captured(cut).channels[0]?.wave?.shape).toBe('flat-topped')
  })
})

describe('currents of loads', () => {
  const volts = sineWave(230, 0)
  it('an electronic load draws its watts in pulses', () => {
    const figures = captured(volts, loadCurrent([shelf.dock], volts, 50))
    const [, amps] = figures.channels
    expect((figures.P ?? 0) / 65).toBeCloseTo(1, 2)
    expect(amps?.wave?.thd).toBeGreaterThan(0.8)
  })
  it('a diode lets one half wave through', () => {
    const dryer = { name: 'dryer', kind: 'element' as const, watts: 480, volts: 230, halfWave: true }
    const figures = captured(volts, loadCurrent([dryer], volts, 50))
    expect(figures.channels[1]?.wave?.class).toBe('half-wave')
    expect(figures.P).toBeCloseTo(480, 0)
  })
  it('a motor lags by its power factor', () => {
    const figures = captured(volts, motorCurrent(180, 230, 0.75))
    const [v, i] = figures.channels
    if (!v || !i) throw new Error('no channels')
    expect(powerTerms(v, i, figures.P ?? 0)?.cosPhi1).toBeCloseTo(0.75, 3)
  })
})

describe('references', () => {
  it('the grid and the launch’s generator are as the station knows them', () => {
    expect(captured(gridWave).channels[0]?.wave?.thd).toBeCloseTo(0.021, 3)
    expect(captured(generatorWave).channels[0]?.rms).toBeCloseTo(226, 0)
    expect(captured(generatorWave).channels[0]?.wave?.thd).toBeCloseTo(0.09, 2)
    const speeds = Array.from({ length: 200 }, (_, i) => (hunting(i / 50 + 0.001) - hunting(i / 50)) / 0.001)
    expect(Math.min(...speeds)).toBeCloseTo(48.6, 1)
    expect(Math.max(...speeds)).toBeCloseTo(51.2, 1)
  })
})

describe('the scope of the stand-in bench', () => {
  it('errs by its gain, and reads the second channel late', () => {
    const off = { ...perfect, percent: 3, gain: 0.5, skew: 1e-4 }
    const x = sample(off, sineWave(230, 0), steadily(50), { seconds: 0.1, random: seeded(2) })
    const peak = x.reduce((most, v) => Math.max(most, v), 0)
    expect(peak / (230 * Math.SQRT2)).toBeCloseTo(1.015, 3)
    const [first, late] = [0, 1].map(
      (channel) =>
        sample(off, sineWave(230, 0), steadily(50), {
          seconds: 0.02,
          random: seeded(2),
          channel,
        })[5] as number,
    )
    expect(late).toBeLessThan(first as number)
  })
})

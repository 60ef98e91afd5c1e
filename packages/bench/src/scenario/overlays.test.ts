import { banksOf, isFigure, named, overlaysOf, viewTrial } from '@even-watt/core'
import { demo } from '.'

const of = (begins: string, rig?: number) => {
  const found = demo().trials.find(({ trial }) => trial.title.startsWith(begins))
  if (!found) throw new Error(`no trial of ${begins}`)
  const { analyses, findings } = viewTrial(found.trial, found.entries)
  const analysis = rig === undefined ? analyses.at(-1) : analyses[rig - 1]
  if (!analysis) throw new Error('no analysis')
  return { trial: found.trial, analysis, findings }
}

describe('what is drawn over each other', () => {
  const list = named([of('Ottrel 1400-24 for', 1), of('Ottrel 1400-24 for', 2), of('Pellam 900-12 for')])
  const overlays = overlaysOf(list)
  const kind = (wanted: string) => overlays.find((one) => one.kind === wanted)

  it('is only what two or more have, each in its own place', () => {
    for (const { lines } of overlays) {
      expect(lines.length).toBeGreaterThan(1)
      for (const { name, place } of lines) expect(list[place]?.name).toBe(name)
    }
    expect(overlaysOf(list.slice(0, 1))).toEqual([])
    expect(overlaysOf([])).toEqual([])
  })

  it('shows waves of one load: a sine beside a stepped wave, a whole cycle of each', () => {
    const waves = kind('waves')
    expect(waves?.lines).toHaveLength(3)
    for (const { points } of waves?.lines ?? []) {
      const ys = points.map(({ y }) => y)
      expect(Math.max(...ys)).toBeGreaterThan(250)
      expect(Math.abs(ys.reduce((sum, y) => sum + y, 0) / ys.length)).toBeLessThan(5)
      expect(points[0]?.x).toBe(0)
      expect(points.at(-1)?.x).toBeLessThan(100)
    }
  })

  it('never falls in surge: what is carried for longer is no more than for less', () => {
    const surge = kind('surge')
    expect(surge?.logarithmic).toBe(true)
    for (const { points } of surge?.lines ?? [])
      points.slice(1).forEach((point, i) => expect(point.y).toBeLessThanOrEqual((points[i]?.y ?? 0) * 1.001))
  })
})

describe('banks', () => {
  it('are compared at the load that all carried: P·R/V²', () => {
    const list = named([of('Ottrel 1400-24 for', 2), of('Pellam 900-12 for', 1)])
    const banks = banksOf(list)
    if (!banks) throw new Error('no banks')
    expect(banks.load).toBeLessThan(1000)
    // Two of 12.8 V in series; one of 12 V, tired.
    const nominals = [25.6, 12]
    for (const [i, { R, kept }] of banks.cells.entries()) {
      if (!isFigure(R) || kept === undefined) throw new Error('no resistance')
      const nominal = nominals[i] ?? 0
      expect(kept).toBeCloseTo((banks.load * R.x.value) / nominal ** 2, 9)
    }
    // A tired bank of 12 V keeps far more of it than a good one of 24 V.
    expect((banks.cells[1]?.kept ?? 0) / (banks.cells[0]?.kept ?? 1)).toBeGreaterThan(2)
  })

  it('without a carried load say nothing', () => {
    expect(banksOf(named([of('Varnock 3600-48 for'), of('Pellam 900-12 for')]))).toBeUndefined()
  })
})

import type { Claim, Entry, EntryOf, PortReading } from '@even-watt/contract'
import { checkIn, doubtEntry, logEntry, noLoadEntry, rigOf, uuid } from '../../test/makers'
import { onStation, verdictOn } from '../../test/verdicts'

/** Ports, charging, run-downs, modes and idle draw, as a tester enters them: each held to both sides of its limits. */

const base = (id: number) => ({ id: uuid(id), revision: 1, at: '2026-03-12T14:00:00.000Z' })
type Load = Extract<PortReading, { test: 'load' }>
const port = (points: readonly (readonly [number, number])[], more: Partial<Load> = {}): EntryOf<'port'> => ({
  ...base(8820),
  kind: 'port',
  reading: {
    test: 'load',
    port: 'USB',
    volts: 5,
    lead: 0,
    points: points.map(([amps, volts]) => ({ amps, volts })),
    meter: uuid(1),
    ...more,
  },
})
const of = (patch: Partial<Claim>, entries: readonly Entry[], more: Claim[] = []) => {
  const { outcome, code, sentence } = onStation(patch, entries, more)
  expect(sentence).not.toMatch(/undefined|NaN|Infinity/)
  return `${outcome}: ${code}`
}
const said = (patch: Partial<Claim>, entries: readonly Entry[]) => onStation(patch, entries).sentence

describe('a port', () => {
  const three = { quantity: 'port', port: 'USB', value: 3, unit: 'A' } as const
  const folds = [
    [1, 5],
    [2, 4.95],
    [2.5, 4.2],
  ] as const
  it.each<[string, Partial<Load>, string]>([
    ['by itself', {}, 'not met: let go'],
    ['beside others', { beside: 'all other ports' }, 'not shown: other ports loaded'],
    ['with a tenth of its store', { charge: 0.1 }, 'not met: let go'],
    ['with less', { charge: 0.09 }, 'not shown: store low'],
    ['by a cable that carries more', { cable: 5 }, 'not met: let go'],
    ['by a cable for what it folded at', { cable: 2.1 }, 'not shown: cable for less'],
    ['by a cable for a little more', { cable: 2.2 }, 'not met: let go'],
  ])('that folds: %s', (_, more, verdict) => expect(of(three, [port(folds, more)])).toBe(verdict))
  it('names what stood in the way', () => {
    expect(said(three, [port(folds, { beside: 'all other ports' })])).toContain(
      'all other ports was loaded beside it. Load it alone.',
    )
    expect(said(three, [port(folds, { charge: 0.04 })])).toContain('down to 4.0 %')
    expect(said(three, [port(folds, { cable: 2 })])).toContain('carries only 2.00 A')
  })
  it('that cuts off needs no volts, and is not tried closely under what is promised', () => {
    expect(
      of(three, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cutoff: 2.5 },
        ),
      ]),
    ).toBe('not met: let go')
    expect(
      of({ ...three, value: 2.4 }, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cutoff: 2.5 },
        ),
      ]),
    ).toBe('not shown: not tried closely')
    expect(
      of(three, [
        port([
          [1, 5],
          [2, 5],
        ]),
      ]),
    ).toBe('not shown: wants no more')
    expect(
      said(three, [
        port([
          [1, 5],
          [2, 5],
        ]),
      ]),
    ).toContain('loaded with 2.0')
    expect(
      of(three, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cable: 2 },
        ),
      ]),
    ).toBe('not shown: cable for less')
    expect(
      of(three, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cable: 3 },
        ),
      ]),
    ).toBe('not shown: wants no more')
    expect(
      of({ ...three, value: 15, unit: 'W', portVolts: 5 }, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cable: 2.5 },
        ),
      ]),
    ).toBe('not shown: cable for less')
    expect(
      of({ ...three, value: 12, unit: 'W' }, [
        port(
          [
            [1, 5],
            [2, 5],
          ],
          { cable: 2.5 },
        ),
      ]),
    ).toBe('not shown: wants no more')
  })
  it('is of its own name and volts', () => {
    expect(of({ ...three, port: 'usb ' }, [port(folds)])).toBe('not met: let go')
    expect(of({ ...three, port: 'USB-C' }, [port(folds)])).toBe('not tested: no evidence')
    expect(of({ ...three, portVolts: 5.5 }, [port(folds)])).toBe('not met: let go')
    expect(of({ ...three, portVolts: 5.8 }, [port(folds)])).toBe('not tested: no evidence')
  })
  it('is met by what it carried within tolerance only', () => {
    expect(
      of(three, [
        port([
          [1, 5],
          [3.5, 4.9],
        ]),
      ]),
    ).toBe('met: carried')
    expect(
      of({ ...three, value: 2 }, [
        port([
          [1, 5],
          [3.5, 4.2],
        ]),
      ]),
    ).not.toMatch(/^met/)
  })
  describe('promised in volts', () => {
    const twelve = { quantity: 'port', port: 'car', value: 12, unit: 'V' } as const
    const car = (points: readonly (readonly [number, number])[]) => port(points, { port: 'car', volts: 12 })
    const amps: Claim = {
      id: uuid(33),
      quantity: 'port',
      port: 'Car',
      comparator: 'at least',
      value: 8,
      unit: 'A',
      readWhere: 'label',
    }
    it('keeps them at every load, or not', () => {
      expect(
        of(twelve, [
          car([
            [1, 12.3],
            [2, 11.9],
          ]),
        ]),
      ).toMatch(/^met/)
      expect(
        of(twelve, [
          car([
            [1, 12.3],
            [2, 10.4],
          ]),
        ]),
      ).toMatch(/^not met/)
      expect(
        of(twelve, [
          car([
            [1, 13.8],
            [2, 12.4],
          ]),
        ]),
      ).toMatch(/^not met/)
      expect(
        said(twelve, [
          car([
            [1, 12.3],
            [2, 10.4],
          ]),
        ]),
      ).toContain('Car gives 10.4')
    })
    it('up to what it promises in amps or watts, at its volts', () => {
      const low = [
        car([
          [1, 12.3],
          [2, 11.9],
          [2.9, 10.2],
        ]),
      ]
      const small = { ...amps, value: 2.5 }
      expect(of(twelve, low)).toMatch(/^not met/)
      expect(of(twelve, low, [amps])).toMatch(/^not met/)
      expect(of(twelve, low, [small])).toMatch(/^met/)
      expect(of(twelve, low, [{ ...small, value: 30, unit: 'W' }])).toMatch(/^met/)
      expect(of(twelve, low, [{ ...small, value: 36, unit: 'W' }])).toMatch(/^not met/)
      expect(of(twelve, low, [{ ...small, portVolts: 12 }])).toMatch(/^met/)
      expect(of(twelve, low, [{ ...small, portVolts: 24 }])).toMatch(/^not met/)
      expect(of(twelve, low, [{ ...small, port: 'USB' }])).toMatch(/^not met/)
      expect(of(twelve, low, [{ ...small, quantity: 'idle draw' }])).toMatch(/^not met/)
      expect(of(twelve, low, [small, { ...amps, id: uuid(34) }])).toMatch(/^not met/)
    })
  })
  it('soaked for half an hour carried the least that stood; for less, or unwatched, nothing', () => {
    const soak = (
      minutes: readonly number[],
      volts = 5,
      what: 'soak' | 'run-down' = 'soak',
      name: string | undefined = 'USB',
    ) => {
      const log = logEntry({ what, ...(name === undefined ? {} : { port: name }) })
      return [
        log,
        ...minutes.map((m) => checkIn(log, m, { V_port: volts, I_port: m === 6 ? 3.4 : 3.6 })),
        checkIn(log, minutes.at(-1) ?? 0, {}, { ended: 'time was up' }),
      ]
    }
    const half = [0, 6, 12, 18, 24, 30]
    expect(of(three, soak(half))).toMatch(/^met.*carried/)
    expect(of({ ...three, value: 3.5 }, soak(half))).toMatch(/^not shown/)
    expect(of(three, soak(half.slice(0, 4)))).toBe('not tested: no evidence')
    expect(of(three, soak([0, 30]))).toBe('not tested: no evidence')
    expect(of({ ...three, portVolts: 5 }, soak(half, 4.1))).not.toMatch(/^met/)
    expect(of(three, soak(half, 5, 'run-down'))).toBe('not tested: no evidence')
    // What sagged after the half hour is no part of it.
    const long = [...soak([...half, 36, 42]).slice(0, -1)]
    const sagged = long.map((entry, i) =>
      entry.kind === 'check-in' && i === long.length - 1
        ? {
            ...entry,
            reading: {
              ...entry.reading,
              values: checkIn(long[0] as EntryOf<'log'>, 42, { V_port: 3, I_port: 3.6 }).reading.values,
            },
          }
        : entry,
    )
    expect(of(three, sagged)).toMatch(/^met.*carried/)
  })
})

describe('a charging input', () => {
  const power = { quantity: 'charge power', value: 300, source: 'wall' } as const
  const charge = (reading: Partial<EntryOf<'log'>['reading']>, values: object = { P_wall: 200 }) => {
    const log = logEntry({ what: 'charge', source: 'wall', charge: 0, ...reading })
    return [log, ...[0, 10, 20].map((m) => checkIn(log, m, values))]
  }
  it.each<[string, Entry[], string]>([
    ['of the wall took the most that it takes', charge({}), 'not met: took'],
    ['of another source is no evidence', charge({ source: 'solar' }), 'not tested: no evidence'],
    ['begun at 80 % tapers', charge({ charge: 0.8 }), 'not shown: taper only'],
    ['begun at 79 % does not', charge({ charge: 0.79 }), 'not met: took'],
    ['of which nobody noted where it began', charge({ charge: undefined }), 'not met: took'],
    ['with a load on', charge({}, { P_wall: 200, P_C: 1.1 }), 'not shown: load on while charging'],
    ['with next to none', charge({}, { P_wall: 200, P_C: 1 }), 'not met: took'],
    ['that took enough, whatever stood in the way', charge({ charge: 0.9 }, { P_wall: 350 }), 'met: took'],
    ['read in watts shows no amps', charge({}, { I_in: 4 }), 'not tested: no evidence'],
  ])('%s', (_, entries, verdict) => expect(of(power, entries)).toBe(verdict))
  it('says why, and what would show it', () => {
    expect(said(power, charge({ charge: 0.9 }))).toContain('It began at 90 %')
    expect(said(power, charge({}, { P_wall: 200, P_C: 50 }))).toContain('A load of 50')
  })
  it('of any source where none is promised; the sun breaks nothing', () => {
    const any = { quantity: 'charge power', value: 300 } as const
    expect(of(any, charge({ source: 'solar' }, { P_in: 200 }))).toBe('not shown: source gave no more')
    expect(of(any, charge({ source: 'solar' }, { P_in: 350 }))).toBe('met: took')
    expect(of({ ...any, value: 5, unit: 'A' }, charge({ source: 'wall' }, { I_in: 4 }))).toBe('not met: took')
  })
  it('that is doubted as a log decides nothing', () => {
    const entries = charge({})
    const doubt = doubtEntry({ what: 'reading', entry: entries[0]?.id as ReturnType<typeof uuid> })
    expect(of(power, [...entries, doubt])).toBe('not tested: refused')
    expect(
      of({ quantity: 'charge time', comparator: 'at most', value: 4, unit: 'h' }, [...entries, doubt]),
    ).toBe('not tested: refused')
  })
  describe('timed', () => {
    const hours = (value: number) =>
      ({ quantity: 'charge time', comparator: 'at most', value, unit: 'h' }) as const
    const filled = (reading: Partial<EntryOf<'log'>['reading']>, to = 1, values: object = {}) => {
      const log = logEntry({ what: 'charge', source: 'wall', charge: 0, ...reading })
      return [
        log,
        ...[0, 60, 120, 180].map((m) =>
          checkIn(log, m, { P_wall: 200, ...values }, { charge: (to * m) / 200 }),
        ),
        checkIn(log, 190, { P_wall: 2 }, { charge: to, ended: to < 1 ? 'by hand' : 'full' }),
      ]
    }
    it.each<[string, number, Entry[], string]>([
      ['from empty to full', 4, filled({}), 'met: full'],
      ['from empty to full, later', 3, filled({}), 'not met: full'],
      ['from empty, not full', 2, filled({}, 0.6), 'not met: not full yet'],
      ['from empty, not full before', 4, filled({}, 0.6), 'not shown: time too short'],
      ['from 40 %', 4, filled({ charge: 0.4 }), 'not shown: not from empty'],
      ['from 40 %, late', 3, filled({ charge: 0.4 }), 'not met: full'],
      ['with a load on, late', 3, filled({}, 1, { P_C: 100 }), 'not shown: load on while charging'],
      ['by the sun, late', 3, filled({ source: 'solar' }), 'not shown: source gave no more'],
    ])('%s', (_, value, entries, verdict) => expect(of(hours(value), entries)).toBe(verdict))
    it('of its own source', () => {
      expect(of({ ...hours(4), source: 'solar' }, filled({}))).toBe('not tested: no evidence')
      expect(said(hours(4), filled({ charge: 0.4 }))).toContain('It was charged from 40 %, not from empty.')
    })
  })
})

describe('a run-down', () => {
  type Ended = NonNullable<EntryOf<'check-in'>['reading']['ended']>
  const run = (
    reading: Partial<EntryOf<'log'>['reading']> = {},
    {
      watts = 300,
      why = 'BMS' as Ended,
      values = {},
      minutes = [0, 20, 40, 60, 80, 100, 120],
    }: { watts?: number; why?: Ended; values?: object; minutes?: readonly number[] } = {},
  ) => {
    const log = logEntry({ what: 'run-down', full: 'charger said full', kind: 'element', ...reading })
    return [
      log,
      ...minutes.map((m) => checkIn(log, m, { P_C: watts, V_C: 119, ...values })),
      checkIn(log, (minutes.at(-1) ?? 0) + 1, {}, { ended: why }),
    ]
  }
  const gappy = [0, 5, 10, 15, 20, 100, 105, 110, 115, 120]
  const hours = { quantity: 'run time', value: 2, unit: 'h', load: 300 } as const
  it.each<[string, Partial<Claim>, Entry[], string]>([
    ['to its end', hours, run(), 'met, within uncertainty: run down'],
    ['to its end, longer promised', { ...hours, value: 3 }, run(), 'not met: run down'],
    ['of 5 % more', hours, run({}, { watts: 314 }), 'met: run down'],
    ['of 6 % more lasts no longer', hours, run({}, { watts: 318 }), 'met, within uncertainty: harder'],
    [
      'of 6 % more, longer promised',
      { ...hours, value: 3 },
      run({}, { watts: 318 }),
      'not shown: time too short',
    ],
    [
      'of a lighter load lasts no shorter',
      { ...hours, value: 3 },
      run({}, { watts: 200 }),
      'not met: easier',
    ],
    ['of a lighter load', hours, run({}, { watts: 200 }), 'not shown: time too short'],
    [
      'of a lighter load, ended by hand',
      { ...hours, value: 3 },
      run({}, { watts: 200, why: 'by hand' }),
      'not tested: no evidence',
    ],
    [
      'of a lighter load, ended by heat',
      { ...hours, value: 3 },
      run({}, { watts: 200, why: 'heat' }),
      'not met: easier',
    ],
    [
      'of a lighter load, ended by overload',
      { ...hours, value: 3 },
      run({}, { watts: 200, why: 'overload' }),
      'not met: easier',
    ],
    ['ended by hand', { ...hours, value: 3 }, run({}, { why: 'by hand' }), 'not shown: time too short'],
    ['ended by heat', { ...hours, value: 3 }, run({}, { why: 'heat' }), 'not met: run down'],
    ['not full before', { ...hours, value: 3 }, run({ full: 'not full' }), 'not shown: not full'],
    [
      'of unknown fullness',
      { ...hours, value: 3 },
      run({ full: undefined }),
      'not shown: fullness not noted',
    ],
    [
      'of unknown fullness by a gauge of 99 %',
      { ...hours, value: 3 },
      run({ full: undefined, charge: 0.99 }),
      'not met: run down',
    ],
    [
      'of unknown fullness by a gauge of 98 %',
      { ...hours, value: 3 },
      run({ full: undefined, charge: 0.98 }),
      'not shown: fullness not noted',
    ],
    ['of a gauge of 94 %', { ...hours, value: 3 }, run({ charge: 0.94 }), 'not shown: not full'],
    ['of a gauge of 95 %', { ...hours, value: 3 }, run({ charge: 0.95 }), 'not met: run down'],
    ['with a charger on', hours, run({}, { values: { P_in: 40 } }), 'not shown: charger on'],
    [
      'with a charger that gave next to nothing',
      hours,
      run({}, { values: { P_in: 1 } }),
      'met, within uncertainty: run down',
    ],
    ['looked at seldom by hand', { ...hours, value: 1.9 }, run({}, { minutes: gappy }), 'met: run down'],
    [
      'of a promise that names no load',
      { quantity: 'run time', value: 2, unit: 'h' },
      run(),
      'not tested: no evidence',
    ],
    ['still running', hours, run().slice(0, -1), 'not tested: no evidence'],
  ])('%s', (_, claim, entries, verdict) => expect(of(claim, entries)).toBe(verdict))
  it('says what it carried over, and what is missing', () => {
    expect(said({ ...hours, value: 3 }, run({ charge: 0.94 }))).toContain('its gauge showed 94 %')
    expect(said({ quantity: 'run time', value: 2, unit: 'h' }, run())).toContain('names no load')
    expect(onStation(hours, run({}, { watts: 314 })).figure?.working.notes[0]).toContain(
      'from 314 W to 300 W',
    )
    expect(onStation(hours, run({}, { watts: 314 })).figure?.x.value).toBeCloseTo(((314 / 300) * 121) / 60, 1)
  })

  const energy = { quantity: 'energy', value: 550, unit: 'Wh', means: 'at the outlet' } as const
  it.each<[string, Partial<Claim>, Entry[], string]>([
    ['gave its energy', energy, run(), 'met: run down'],
    ['gave less', { ...energy, value: 700 }, run(), 'not met: run down'],
    ['ended by hand gave at least that', energy, run({}, { why: 'by hand' }), 'met: ended before'],
    ['ended by hand', { ...energy, value: 700 }, run({}, { why: 'by hand' }), 'not shown: time too short'],
    [
      'of a label that says not what it means',
      { ...energy, value: 700, means: undefined },
      run(),
      'not shown: label not clear',
    ],
    ['of a label that says not, and is kept', { ...energy, means: undefined }, run(), 'met: run down'],
    ['of the cells is a bound', { ...energy, means: 'cells' }, run(), 'met: at the outlet'],
    [
      'of the cells, more promised',
      { ...energy, value: 700, means: 'cells' },
      run(),
      'not shown: label not clear',
    ],
    ['at its load', { ...energy, load: 310 }, run(), 'met: run down'],
    ['at another load', { ...energy, load: 400 }, run(), 'not tested: no evidence'],
    ['still running', energy, run().slice(0, -1), 'not tested: no evidence'],
    [
      'in amp-hours, of which none were read',
      { ...energy, unit: 'Ah', value: 20 },
      run(),
      'not tested: no evidence',
    ],
    ['cycles', { quantity: 'cycles', value: 3000, unit: 'cycles' }, run(), 'not tested: no evidence'],
  ])('%s', (_, claim, entries, verdict) => expect(of(claim, entries)).toBe(verdict))
  it('says how much of the label that is', () => {
    expect(said({ ...energy, value: 700, means: undefined }, run())).toMatch(/That is 8\d % of its label/)
    expect(said({ ...energy, value: 700 }, run())).toContain('at 300 W is')
  })
})

describe('run-downs beside each other, and of a bank', () => {
  const run = (
    n: number,
    watts: number,
    hours: number,
    why: 'BMS' | 'low voltage' | 'by hand' = 'BMS',
    charge?: number,
  ) => {
    const log = logEntry(
      {
        what: 'run-down',
        full: 'charger said full',
        kind: 'element',
        ...(charge === undefined ? {} : { charge }),
      },
      n,
    )
    return [
      log,
      ...[0, 0.25, 0.5, 0.75, 1].map((share) =>
        checkIn(log, share * hours * 60, { P_C: watts, V_C: 119, V_B: 25 }),
      ),
      checkIn(log, hours * 60 + 1, {}, { ended: why }),
    ]
  }
  const energy = { quantity: 'energy', value: 600, unit: 'Wh', means: 'at the outlet' } as const
  it('at like loads are one figure, at unlike ones each its own', () => {
    const like = onStation(energy, [...run(1, 300, 2.2), ...run(2, 310, 1.9)])
    expect(like.figure?.working.formula).toBe('mean of 2')
    const unlike = onStation(energy, [...run(1, 300, 2.2), ...run(2, 600, 0.9)])
    expect(unlike.figure?.working.formula).not.toContain('mean')
    expect(unlike.figure?.x.value).toBeGreaterThan(600)
    const twice = onStation({ quantity: 'run time', value: 2, unit: 'h', load: 300 }, [
      ...run(1, 300, 2.2),
      ...run(2, 301, 1.9),
    ])
    expect(twice.figure?.working).toMatchObject({
      formula: 'mean of 2',
      entries: expect.arrayContaining([expect.any(String)]),
    })
  })
  it('say why they ended, and what would show more', () => {
    expect(said(energy, run(1, 300, 2.2))).toMatch(/A BMS cut off\.$/)
    expect(said({ quantity: 'run time', value: 2, unit: 'h', load: 300 }, run(1, 300, 2.2))).toMatch(
      /^It ran 2 h 1\d min at 300 W, against 2 h at 300 W.*A BMS cut off\.$/,
    )
    expect(said({ ...energy, value: 900 }, run(1, 300, 2.2, 'by hand'))).toContain(
      'It was ended before it was empty. A run-down to its cutoff',
    )
    const time = { quantity: 'run time', value: 3, unit: 'h', load: 300 } as const
    expect(said(time, run(1, 300, 2.2, 'by hand'))).toContain(
      'ended before it stopped by itself. A run-down to its cutoff',
    )
    expect(said({ ...time, load: 280 }, run(1, 300, 2.2))).toContain(
      'That was another load. A run-down at 280 W would show it.',
    )
    expect(said({ ...energy, value: 900, means: 'cells' }, run(1, 300, 2.2))).toContain(
      'What the cells gave has no tap',
    )
  })
  it('of an inverter’s own bank break nothing of the unit, by whoever ended them', () => {
    const bank = (why: 'BMS' | 'low voltage', more = {}) =>
      verdictOn({ quantity: 'run time', value: 3, unit: 'h', load: 300 }, run(1, 300, 2.2, why), more)
    expect(bank('BMS')).toMatchObject({ outcome: 'not shown', code: 'ended by a battery' })
    expect(bank('BMS').sentence).toContain('The bank’s BMS ended it, which is not part of the unit')
    expect(bank('low voltage').sentence).toContain('The bank ended it')
    const support = { kind: 'charger', name: 'Shore charger', current: 30, ownUse: 0 } as const
    const helped = verdictOn({ quantity: 'run time', value: 2, unit: 'h', load: 300 }, run(1, 300, 2.2), {
      rig: rigOf({ support }),
    })
    expect(helped).toMatchObject({ outcome: 'not shown', code: 'charger on' })
    expect(helped.sentence).toContain('The Shore charger was on meanwhile')
  })
  it('whose watts may not decide tell no time', () => {
    const shown = run(1, 300, 2.2).map((entry) =>
      entry.kind === 'check-in'
        ? {
            ...entry,
            reading: {
              ...entry.reading,
              values: entry.reading.values.map(({ quantity, value }) => ({
                quantity,
                value,
                grade: 'display' as const,
              })),
            },
          }
        : entry,
    )
    expect(of({ quantity: 'run time', value: 2, unit: 'h', load: 300 }, shown)).toBe('not tested: refused')
  })
})

describe('modes and idle', () => {
  const transfer = (gap: number, n: number): EntryOf<'mode'> => ({
    ...base(8860 + n),
    kind: 'mode',
    reading: { test: 'transfer', way: 'grid to battery', seen: 'capture', gap },
  })
  const quick = { quantity: 'transfer time', comparator: 'at most', value: 20, unit: 'ms' } as const
  it('a changeover is shown by three, and broken by one', () => {
    const all = [12, 9.4, 15].map((ms, n) => transfer(ms, n))
    const some = onStation(quick, all.slice(0, 2))
    expect(some.code).toBe('few attempts')
    expect(some.sentence).toContain('only 2 were timed')
    expect(said(quick, all.slice(0, 1))).toContain('only 1 was timed')
    expect(of(quick, all)).toMatch(/^met/)
    expect(of({ ...quick, value: 0.02, unit: 's' }, all)).toMatch(/^met/)
    expect(of({ ...quick, value: 10 }, all.slice(0, 1))).toMatch(/^not met/)
    expect(said(quick, [...all])).toContain('15 ms')
    expect(said({ ...quick, value: 5 }, all.slice(1, 2))).toContain('9.4 ms')
  })

  const idle = { quantity: 'idle draw', comparator: 'at most', value: 11, unit: 'W' } as const
  const amps = { ...idle, value: 0.5, unit: 'A' } as const
  const read = (more: object = {}) => [noLoadEntry({ V_B: 26.4, I: 0.394, ...more })]
  it('idle draw is read in the unit of its promise, and the other is told beside it', () => {
    expect(verdictOn(idle, read())).toMatchObject({ outcome: expect.stringMatching(/^met/), code: 'read' })
    expect(verdictOn(idle, read()).sentence).toMatch(
      /10\.4 ± [\d.]+ W, with 26\.40 ± [\d.]+ V at the terminals.*That is 0\.39 ± [\d.]+ A\./,
    )
    expect(verdictOn(amps, read()).sentence).toMatch(/0\.39 ± [\d.]+ A.*That is 10\.4 ± [\d.]+ W\./)
    expect(verdictOn(amps, [noLoadEntry({ I: 0.394 })]).sentence).not.toContain('That is')
    expect(verdictOn(idle, [noLoadEntry({ I: 0.394 })])).toMatchObject({ outcome: 'not tested' })
  })
  it('with something connected draws no more than that alone', () => {
    const on = read({ P_C: 60 })
    expect(verdictOn(idle, on)).toMatchObject({
      outcome: expect.stringMatching(/^met/),
      code: 'something connected',
    })
    expect(verdictOn({ ...idle, value: 5 }, on)).toMatchObject({
      outcome: 'not shown',
      code: 'something connected',
    })
    expect(verdictOn({ ...idle, value: 5 }, on).sentence).toContain('Unplug everything')
    expect(verdictOn({ ...amps, value: 0.2 }, on)).toMatchObject({
      outcome: 'not shown',
      code: 'something connected',
    })
  })
  it('of two inputs is judged by the worse, and no one figure is told of both', () => {
    const both = [noLoadEntry({ V_B: 26.4, I: 0.394 }), noLoadEntry({ V_B: 24.1, I: 0.5 })]
    expect(verdictOn({ ...idle, value: 11 }, both).outcome).toMatch(/^not met/)
    expect(verdictOn(idle, both).sentence).not.toContain('That is')
  })
})

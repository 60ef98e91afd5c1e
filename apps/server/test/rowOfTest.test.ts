import { testsOfLimits, testsOfModes, testsOfPorts } from '@even-watt/contract'
import { rowOfTest } from '../src/trials/rowOfTest'

describe('a row of the CSV from what a test declares', () => {
  it('is headed as its form asks, with the unit in which it is kept', () => {
    expect(
      rowOfTest(testsOfModes)({
        test: 'draw',
        mode: 'on',
        hours: 12,
        chargeBefore: 0.8,
        note: 'cold',
      } as never),
    ).toMatchObject({
      test: 'draw',
      mode: 'on',
      'it stood for [h]': 12,
      'gauge before [1]': 0.8,
      'filled again with [Wh]': undefined,
      note: 'cold',
    })
    expect(rowOfTest(testsOfLimits)({ test: 'dynamic', pulses: 3, hunts: true } as never)).toMatchObject({
      'swing with a load that pulsates [%]': 3,
      'it hunts at a steady load': 'yes',
    })
  })
  it('says lines in their units, and what is so in its words', () => {
    expect(
      rowOfTest(testsOfPorts)({
        test: 'load',
        port: 'A',
        points: [
          { amps: 0.5, volts: 5.08 },
          { amps: 1, volts: 5.02 },
        ],
        lead: 0.09,
      } as never),
    ).toMatchObject({
      'amps and volts, a pair a line': '0.5 A 5.08 V; 1 A 5.02 V',
      'lead, both ways [Ω]': 0.09,
    })
    expect(
      rowOfTest(testsOfPorts)({
        test: 'together',
        loaded: [{ port: 'C', volts: 20, amps: 1.5 }],
        held: false,
      } as never),
    ).toMatchObject({ 'port, volts, amps; one a line': 'C 20 V 1.5 A', 'all of them held': 'no' })
    expect(rowOfTest(testsOfModes)({ test: 'transfer', rodeThrough: false } as never)).toMatchObject({
      'what ran on it': 'restarted',
    })
  })
  it('of a test that nobody knows is its name', () => {
    expect(rowOfTest(testsOfModes)({ test: 'weight' })).toEqual({ test: 'weight', note: undefined })
  })
})

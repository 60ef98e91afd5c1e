import * as z from 'zod/mini'

/** What the software notices by itself, by number (docs/method/oddities.md). The numbers are kept for good. */
export const oddities = {
  1: 'more out than an inverter can give',
  2: 'watts over volt-amperes',
  3: 'terminals above the posts',
  4: 'a load in an idle reading',
  5: 'clamp not zeroed',
  6: 'meter unfit for the wave',
  7: 'meter where other current flows',
  8: 'near or over a range',
  9: 'read before settling, or too far apart',
  10: 'display used as a measurement',
  11: 'resolution too coarse',
  12: 'the next step will alarm',
  13: 'a drop that grows',
  14: 'infrared on bare metal',
  15: 'bank too low for the test',
  16: 'W for VA, Ah for Wh',
  17: 'rating of the wrong thing',
  18: 'digit slip',
  19: 'missing disclosure',
  20: 'batteries compared at equal watts',
  21: 'DC watts against an AC rating',
  22: 'surge read on a slow meter',
  23: 'current a device should not have carried',
  24: 'capture far from the meter',
  25: 'two things changed between attempts',
  26: 'no fuse',
  27: 'energy from rest volts',
  28: 'equal ceilings for different tests',
  29: 'the odd meter',
  30: 'mm for mm², or units mixed',
  31: 'capture clipped',
  32: 'capture too coarse or aliased',
  33: 'ambient moved during a thermal run',
  34: 'gap in a log',
  35: 'totalizer fed by the outlet it measures',
  36: 'noise too near the background',
  37: 'the cable limits, not the port',
  38: 'charger on during a run-down, or load during a charge',
  39: 'comparison of unlike conditions',
  40: 'gauge or display off against what was measured',
  41: 'promises that contradict each other',
} as const

export type OddityNumber = keyof typeof oddities

const numbers = Object.keys(oddities).map(Number) as OddityNumber[]

export const OddityNumber = z.literal(numbers, `Oddity: a whole number from 1 to ${numbers.length}.`)

import type { Instrument } from '@even-watt/contract'

/** Amplitude accuracy of a scope of 8 bits with a dividing probe, as most are, %; of the phone’s camera not to speak. */
export const typicalInstrument: Instrument = { name: 'Scope', percent: 5, typical: true }

/** What a screen’s picture is read by: half a trace on a grid of eight. */
export const pictured: Instrument = { name: 'Picture of a screen', percent: 10, typical: true }

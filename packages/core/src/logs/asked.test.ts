import { stationMeters, stationRigs, stationUnits } from '@even-watt/bench'
import type { Revision } from '@even-watt/contract'
import { askedOf } from './asked'

const station: Revision = {
  number: 1,
  why: 'first',
  madeAt: '2026-04-14T08:00:00.000Z',
  unit: stationUnits.corrick,
  rig: stationRigs.corrick,
  meters: Object.values(stationMeters),
}
const inverter: Revision = { ...station, unit: stationUnits.ottrel, rig: stationRigs.l24 }

describe('what a check-in asks', () => {
  it('is what meters hang for, by what is logged', () => {
    const names = (what: Parameters<typeof askedOf>[0], revision: Revision) =>
      askedOf(what, revision).map(({ quantity }) => quantity)
    expect(names('run-down', station)).toEqual(['V_C', 'P_C', 'E_C'])
    expect(names('charge', station)).toEqual(['P_wall', 'E_wall', 'V_in', 'I_in'])
    expect(names('soak', station)).toEqual(['V_port', 'I_port'])
    expect(names('run-down', inverter)).toEqual(['V_A', 'V_B', 'I', 'V_C', 'I_C', 'P_C'])
  })
  it('of a bench without meters is kept as a display', () => {
    const bare = { ...station, rig: { ...station.rig, assignments: [] } }
    expect(askedOf('run-down', bare)).toEqual([
      { quantity: 'P_C', meter: undefined },
      { quantity: 'E_C', meter: undefined },
    ])
    expect(askedOf('charge', bare)[0]?.meter).toBeUndefined()
  })
})

import { Rig } from '@even-watt/contract'
import { meterFromLine } from '../meters'
import { bankDeliverable } from '../supply'
import { hangUpAtStation, stationRig } from '.'

let made = 0
const newId = () => `00000000-0000-7000-8000-${String(++made).padStart(12, '0')}`
const meter = (line: string) => {
  const found = meterFromLine(line, newId)
  if (!found) throw new Error(line)
  return { id: line, ranges: found.ranges }
}
const hung = (...lines: string[]) =>
  Object.fromEntries(hangUpAtStation(lines.map(meter)).map(({ quantity, meter: id }) => [quantity, id]))

describe('meters round a power station', () => {
  it('read its outlet, its wall, its ports and its charge input, each on the one that is made for it', () => {
    expect(hung('plug wattmeter', 'second plug', 'USB meter', 'DC wattmeter')).toEqual({
      V_C: 'plug wattmeter',
      P_C: 'plug wattmeter',
      E_C: 'plug wattmeter',
      P_wall: 'second plug',
      E_wall: 'second plug',
      V_in: 'DC wattmeter',
      I_in: 'DC wattmeter',
      P_in: 'DC wattmeter',
      E_in: 'DC wattmeter',
      V_port: 'USB meter',
      I_port: 'USB meter',
    })
  })
  it('are one at outlet and wall by turns where there is but one, and none where none reads it', () => {
    expect(hung('plug wattmeter')).toMatchObject({ P_C: 'plug wattmeter', P_wall: 'plug wattmeter' })
    expect(hung('sound level meter')).toEqual({})
    // A clamp of hundreds of amps is no meter for a port.
    expect(hung('clamp')).toEqual({})
  })
})

describe('what stands for the rig of a station', () => {
  it('is its store, with nothing between posts and terminals, and takes all of its watt-hours', () => {
    const rig = stationRig('Harrow 850', 1040, newId())
    expect(Rig.safeParse(rig).success).toBe(true)
    expect((bankDeliverable(rig.bank, 12) ?? 0) * 25.6).toBeCloseTo(1040, 6)
    expect([rig.positive, rig.negative, rig.bank.usableShare]).toEqual([[], [], 1])
  })
  it('has no capacity where the label says none', () => {
    expect(bankDeliverable(stationRig('X', undefined, newId()).bank, 5)).toBeUndefined()
  })
})

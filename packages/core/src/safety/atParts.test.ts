import type { PathElement } from '@even-watt/contract'
import { rigOf, unitOf, uuid } from '../../test/makers'
import { cautionsFor, precharge, prechargeWith } from '.'

const lug = (patch: Partial<PathElement>): PathElement =>
  ({ id: uuid(61), name: 'negative lug', kind: 'lug', ...patch }) as PathElement

it('a warning at a part is a caution of every rig that has the part', () => {
  const asked = (patch: Partial<PathElement>) =>
    cautionsFor({ unit: unitOf(), rig: rigOf({ negative: [lug(patch)] }) }).filter(
      ({ name }) => name === `part ${uuid(61)}`,
    )
  expect(asked({ warning: 'Fine strands: ferrule first.' })).toEqual([
    {
      name: `part ${uuid(61)}`,
      sentence: 'Fine strands: ferrule first.',
      because: 'noted at negative lug: Fine strands: ferrule first.',
    },
  ])
  expect(asked({})).toEqual([])
})
it('pre-charge has its amps at the first moment, and says whether resistor or lamp stands it', () => {
  // 26.4 V over 22 Ω: 1.2 A and 31.7 W.
  expect(precharge(26.4, 22, 0.005, 0.5).amps).toBeCloseTo(1.2, 9)
  const resistor = (watts: number) => prechargeWith(26.4, 22, { is: 'resistor', watts, volts: undefined })
  expect(resistor(5)).toContain('5.0 W stand the first moment')
  expect(resistor(1)).toContain('buy 3.2 W or more')
  const lamp = (volts: number) => prechargeWith(26.4, 22, { is: 'lamp', watts: 21, volts })
  expect(lamp(12)).toContain('burns out on 26.4 V: put 3 alike in series')
  expect(lamp(24)).toContain('The lamp stands it')
})

import { safeParse, type ZodMiniType } from 'zod/mini'
import {
  LimitReading,
  ModeReading,
  OutletReading,
  PortReading,
  sentences,
  testsOfLimits,
  testsOfModes,
  testsOfOutlets,
  testsOfPorts,
} from '.'
import type { Face, Tests } from './tests'

const kinds: readonly (readonly [string, Tests, ZodMiniType])[] = [
  ['limit', testsOfLimits, LimitReading],
  ['mode', testsOfModes, ModeReading],
  ['outlet', testsOfOutlets, OutletReading],
  ['port', testsOfPorts, PortReading],
]
const every = kinds.flatMap(([kind, tests, schema]) =>
  Object.keys(tests).map((test) => [kind, test, tests[test] as Tests[string], schema] as const),
)

const lines: Readonly<Record<string, readonly object[]>> = {
  points: [{ amps: 1, volts: 5 }],
  offers: [{ volts: 9, amps: 3 }],
  read: [
    { outlet: 'left', volts: 230 },
    { outlet: 'right', volts: 229 },
  ],
  loaded: [
    { port: 'A', volts: 5, amps: 1 },
    { port: 'B', volts: 5, amps: 1 },
  ],
}

/** Something that fits a field: of a share, half of it. */
const fitting = (name: string, face: Face): unknown => {
  switch (face.is) {
    case 'number':
      return face.unit === '%' && face.factor ? 0.5 : 12
    case 'words':
      return 'kettle'
    case 'choice':
      return face.of[0]
    case 'lines':
      return lines[name]
    case 'tick':
    case 'yes or no':
      return true
  }
}
const filled = (test: string, { fields, apart }: Tests[string]): Record<string, unknown> => ({
  test,
  ...Object.fromEntries(Object.entries(fields).map(([name, face]) => [name, fitting(name, face)])),
  ...('values' in apart ? { values: [] } : {}),
})

describe('tests that are declared once', () => {
  it.each(every)(
    '%s: a form of all that a test of %s asks is taken, and nothing is left out',
    (_, test, told, schema) => {
      const whole = filled(test, told)
      const read = safeParse(schema, whole)
      expect(read).toMatchObject({ success: true, data: whole })
    },
  )
  it.each(every)('%s: %s takes every choice that it offers, and no other', (_, test, told, schema) => {
    for (const [name, face] of Object.entries(told.fields)) {
      if (face.is !== 'choice') continue
      const said = (choice: string) => safeParse(schema, { ...filled(test, told), [name]: choice }).success
      expect(face.of.every(said)).toBe(true)
      expect(said('something else')).toBe(false)
    }
  })
  it.each(every)(
    '%s: %s may leave out what is optional, and says by name what it needs',
    (_, test, told, schema) => {
      for (const [name, face] of Object.entries(told.fields)) {
        const read = safeParse(schema, { ...filled(test, told), [name]: undefined })
        const optional =
          ('optional' in face && face.optional) ||
          face.is === 'tick' ||
          safeParse(told.fields[name]?.schema as ZodMiniType, undefined).success
        expect(read.success).toBe(optional)
        if (read.error && face.is !== 'lines')
          expect(sentences(read.error)[0]?.message.toLowerCase()).toContain(face.label.toLowerCase())
      }
    },
  )
  it('say what may be tested where something else is sent', () => {
    const read = safeParse(ModeReading, { test: 'weight' })
    expect(read.error && sentences(read.error)[0]?.message).toBe(
      'Test of a mode: one of draw, wake, transfer, pass-through.',
    )
  })
})

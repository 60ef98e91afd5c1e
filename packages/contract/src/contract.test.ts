import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import { safeParse } from 'zod/mini'
import { writtenDemo } from '@even-watt/bench/written'
import { Entries, Rig, sentences, TrialDocument, trialJsonSchema, TrialSettings, Unit } from '.'

const wrong = (schema: Parameters<typeof safeParse>[0], value: unknown) => {
  const result = safeParse(schema, value)
  return result.success ? [] : sentences(result.error).map(({ path, message }) => `${path}: ${message}`)
}

describe('the contract', () => {
  const [unit] = writtenDemo().units

  it('names the field and what is accepted', () => {
    expect(wrong(Unit, { ...unit, name: ' ' })).toEqual(['name: Enter a name.'])
    expect(wrong(Unit, { ...unit, inputVoltage: -12 })).toEqual([
      'inputVoltage: Nominal input: must be above 0; up to 1000 is accepted.',
    ])
    expect(wrong(Unit, { ...unit, inputVoltage: 1e40 })).toEqual([
      'inputVoltage: Nominal input: a number above 0 and up to 1000.',
    ])
    expect(wrong(Unit, { ...unit, kind: 'toaster' })[0]).toContain(
      'one of inverter, inverter-charger, power station',
    )
    expect(wrong(Unit, {}).length).toBeGreaterThan(5)
    for (const sentence of wrong(Unit, {})) expect(sentence).not.toContain('Invalid input')
  })

  it('refuses negative ohms and numbers that are none', () => {
    const [rig] = writtenDemo().rigs
    expect(wrong(Rig, { ...rig, bank: { ...rig?.bank, rippleResistance: -0.01 } })[0]).toContain(
      'must be above 0',
    )
    expect(wrong(Rig, { ...rig, bank: { ...rig?.bank, usableShare: NaN } })[0]).toContain('Usable share')
    expect(wrong(Rig, { ...rig, bank: { ...rig?.bank, usableShare: Infinity } })).toHaveLength(1)
  })

  it('bounds what is taken at once', () => {
    expect(wrong(Entries, [])).toEqual([': Entries: none were sent.'])
    const settings = {
      title: 't',
      by: 'R.O.',
      hold: 600,
      limiters: [],
      duty: [
        { hours: 20, load: 0 },
        { hours: 5, load: 10 },
      ],
    }
    expect(wrong(TrialSettings, settings)[0]).toContain('add up to 24 at most')
  })

  it('publishes a schema that the demo trials obey and a broken one does not', () => {
    const schema = trialJsonSchema()
    const published = JSON.parse(readFileSync('docs/trial.schema.json', 'utf8')) as unknown
    expect(JSON.parse(JSON.stringify(schema))).toEqual(published)
    const ajv = new Ajv({ strict: false })
    addFormats(ajv)
    const check = ajv.compile(schema)
    for (const trial of writtenDemo().trials) {
      expect(check(trial)).toBe(true)
      expect(safeParse(TrialDocument, trial).success).toBe(true)
    }
    expect(check({ ...writtenDemo().trials[0], format: 'other' })).toBe(false)
  })
})

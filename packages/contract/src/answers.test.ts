import { safeParse } from 'zod/mini'
import { NewEdition, Overruled, OwnAnswer, sentences, SuitRule, SuitRules } from '.'

const why = (schema: Parameters<typeof safeParse>[0], value: unknown): string | undefined => {
  const result = safeParse(schema, value)
  return result.success ? undefined : sentences(result.error)[0]?.message
}
const need = { figure: 'idle draw', is: 'at most', value: 10 }
const rule = { name: 'standby', needs: [need] }
const sha = 'a'.repeat(64)
const edition = {
  kind: 'trial',
  of: '0192e4a0-0000-7000-8000-000000000001',
  number: 1,
  title: 'Ottrel',
  madeBy: 'Even Watt',
  stated: [{ about: 'the answer', says: 'All claims are met.' }],
  contentSha256: sha,
  sha256: sha,
  size: 1000,
}

describe('a use', () => {
  it('has a name and at least one need, each of a known figure', () => {
    expect(why(SuitRule, rule)).toBeUndefined()
    expect(why(SuitRule, { ...rule, needs: [] })).toBe('Needs: a use asks at least one.')
    expect(why(SuitRule, { ...rule, name: ' ' })).toBeDefined()
    expect(why(SuitRule, { ...rule, needs: [{ ...need, figure: 'beauty' }] })).toMatch(
      /^What is asked: one of/,
    )
    expect(why(SuitRule, { ...rule, needs: [{ ...need, value: -1 }] })).toMatch(/^Limit: /)
    expect(why(SuitRule, { ...rule, needs: Array.from({ length: 9 }, () => need) })).toBe('Needs: 8 at most.')
  })
  it('has a name of its own', () => {
    expect(why(SuitRules, [rule, { ...rule, name: 'workshop' }])).toBeUndefined()
    expect(why(SuitRules, [rule, rule])).toBe('Uses: two have the same name.')
    expect(
      why(
        SuitRules,
        Array.from({ length: 21 }, (_, i) => ({ ...rule, name: `use ${i}` })),
      ),
    ).toBe('Uses: 20 at most.')
  })
  it('is overruled with a reason only, and to one side or the other', () => {
    expect(why(Overruled, { rule: 'standby', says: 'suits', why: 'It hangs outside.' })).toBeUndefined()
    expect(why(Overruled, { rule: 'standby', says: 'suits', why: '' })).toBeDefined()
    expect(why(Overruled, { rule: 'standby', says: 'not known', why: 'x' })).toMatch(/^Overruled to: one of/)
  })
})

describe('an answer in the tester’s words', () => {
  it('has one to three sentences', () => {
    expect(why(OwnAnswer, { said: ['It does.'], drafted: [] })).toBeUndefined()
    expect(why(OwnAnswer, { said: [], drafted: [] })).toBe('Answer: at least one sentence.')
    expect(why(OwnAnswer, { said: ['a', 'b', 'c', 'd'], drafted: [] })).toBe(
      'Answer: three sentences at most.',
    )
  })
})

describe('an edition', () => {
  it('says why it changed, from the second on', () => {
    expect(why(NewEdition, edition)).toBeUndefined()
    expect(why(NewEdition, { ...edition, number: 2 })).toMatch(/^Why it changed: say it in a few words/)
    expect(why(NewEdition, { ...edition, number: 2, why: 'A reading was wrong.' })).toBeUndefined()
  })
  it('names its bytes by whole hashes', () => {
    expect(why(NewEdition, { ...edition, sha256: 'abc' })).toBeDefined()
    expect(why(NewEdition, { ...edition, size: 0 })).toMatch(/^Size: /)
    expect(why(NewEdition, { ...edition, kind: 'unit' })).toMatch(/^What is published: one of/)
  })
})

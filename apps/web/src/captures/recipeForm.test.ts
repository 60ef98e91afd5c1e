import { formOf, recipeOf } from './recipeForm'

const recipe = {
  time: { column: 0, factor: 0.001 },
  channels: [
    { column: 1, quantity: 'V_C' as const, factor: 100 },
    { column: 3, quantity: 'I_C' as const, factor: -0.1 },
  ],
}

describe('how a file is read, as a form', () => {
  it('says the same recipe again', () => {
    expect(recipeOf(formOf(recipe, 4)).recipe).toEqual(recipe)
    const rated = { rate: 48_000, channels: [{ column: 0, quantity: 'V_C' as const, factor: 652 }] }
    expect(recipeOf(formOf(rated, 1)).recipe).toEqual(rated)
  })
  it('names what is wrong at its place', () => {
    const form = formOf(recipe, 4)
    const of = (i: number, factor: string) => ({
      ...form,
      columns: form.columns.map((column, k) => (k === i ? { ...column, factor } : column)),
    })
    expect(recipeOf(of(1, '0')).faults[1]).toContain('other than 0')
    expect(recipeOf(of(1, 'x')).faults[1]).toBeDefined()
    expect(
      recipeOf({ ...form, columns: form.columns.map((column) => ({ ...column, meaning: 'V_C' })) }).faults[2],
    ).toContain('taken for this already')
    expect(
      recipeOf({ ...form, columns: form.columns.map((column) => ({ ...column, meaning: '' })) }).faults,
    ).toMatchObject({
      columns: expect.stringContaining('what it holds'),
      rate: expect.stringContaining('samples a second'),
    })
  })
})

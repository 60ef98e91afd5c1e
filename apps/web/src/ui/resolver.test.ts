import * as z from 'zod/mini'
import { contractResolver, faultsOf } from './resolver'

const Content = z.object({
  name: z.string().check(z.minLength(1, 'Name: some words.')),
  hours: z
    .array(z.object({ h: z.number('Hours: a number.').check(z.lte(24, 'Hours: 24 at most.')) }))
    .check(z.refine((all) => all.reduce((sum, { h }) => sum + h, 0) <= 24, 'The day has 24 hours.')),
})
type Form = { name: string; hours: { h: string }[] }

const resolve = contractResolver(Content, (form: Form, report) => ({
  name: form.name,
  hours: form.hours.map(({ h }, i) => {
    const value = Number(h)
    if (Number.isNaN(value)) report(`hours.${i}.h`, `"${h}" is no number.`)
    return { h: Number.isNaN(value) ? 0 : value }
  }),
}))
const options = { fields: {}, shouldUseNativeValidation: false }
const faults = async (form: Form) => faultsOf((await resolve(form, undefined, options)).errors)

describe('what a form is checked with', () => {
  it('gives the content of the contract when nothing is wrong', async () => {
    const { values, errors } = await resolve({ name: 'a', hours: [{ h: '8' }] }, undefined, options)
    expect([values, errors]).toEqual([{ name: 'a', hours: [{ h: 8 }] }, {}])
  })

  it('names what cannot be read before what the contract says, once a field', async () => {
    expect(await faults({ name: '', hours: [{ h: 'x' }] })).toEqual(
      expect.arrayContaining([
        { path: 'hours.0.h', message: '"x" is no number.' },
        { path: 'name', message: 'Name: some words.' },
      ]),
    )
  })

  it('keeps the fault of a list beside those of its lines', async () => {
    expect(await faults({ name: 'a', hours: [{ h: '25' }] })).toEqual(
      expect.arrayContaining([
        { path: 'hours', message: 'The day has 24 hours.' },
        { path: 'hours.0.h', message: 'Hours: 24 at most.' },
      ]),
    )
  })
})

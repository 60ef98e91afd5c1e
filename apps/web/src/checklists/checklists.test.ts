import { Checklist } from '@even-watt/contract'
import { safeParse } from 'zod/mini'
import { blankChecklist, checklistToForm, formToChecklist } from './form'

const typed = 'post 8 N·m\nbreaker off'
const made = (lines: string, before = blankChecklist.before) => {
  const read = safeParse(Checklist, formToChecklist({ ...blankChecklist, name: 'Terminals', lines, before }))
  if (!read.success) throw new Error(read.error.issues[0]?.message)
  return read.data
}

describe('a checklist in its form', () => {
  it('is typed a line a line, and comes back as it was typed', () => {
    const list = made(typed)
    expect(list.lines.map(({ words, torque }) => [words, torque])).toEqual([
      ['post', 8],
      ['breaker off', undefined],
    ])
    expect(checklistToForm(list).lines).toBe('post, 8 N·m\nbreaker off')
  })

  it('keeps the ids of lines that stay, so that what was ticked stays ticked', () => {
    const list = made(typed)
    const form = checklistToForm(list)
    const again = made(`${form.lines}\nlink`, form.before)
    expect(again.lines.slice(0, 2)).toEqual(list.lines)
    expect(again.lines).toHaveLength(3)
  })

  it('without a line is refused in a sentence', () => {
    expect(() => made('\n \n')).toThrow('Lines: a list has at least one.')
  })
})

import * as z from 'zod/mini'
import { oneOf } from './shared'

/** What a tester wants to know of a unit, in his order (docs/method/answers.md). */
const questions = [
  'gives',
  'nothing',
  'reaches',
  'leads',
  'battery',
  'wave',
  'starts',
  'lasts',
  'ports',
  'charges',
  'keep',
] as const
export const Question = oneOf('Question', questions)
export type Question = z.infer<typeof Question>

export const Questions = z.array(Question).check(
  z.minLength(1, 'Questions: at least one.'),
  z.maxLength(questions.length, 'Questions: each once.'),
  z.refine((asked) => new Set(asked).size === asked.length, 'Questions: each once.'),
)

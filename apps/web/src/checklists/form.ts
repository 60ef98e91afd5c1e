import type { Checklist } from '@even-watt/contract'
import { readLines, sayLine } from '@even-watt/core'
import { v7 } from 'uuid'

export interface ChecklistForm {
  name: string
  lines: string
  beforeTest: boolean
  /** The lines as they were, so that those that stay keep their ids. */
  before: Checklist['lines']
}

export const blankChecklist: ChecklistForm = { name: '', lines: '', beforeTest: true, before: [] }

export const checklistToForm = ({ name, lines, beforeTest }: Checklist): ChecklistForm => ({
  name,
  lines: lines.map(sayLine).join('\n'),
  beforeTest,
  before: lines,
})

export const formToChecklist = ({ name, lines, beforeTest, before }: ChecklistForm): unknown => ({
  name,
  lines: readLines(lines, before, v7),
  beforeTest,
})

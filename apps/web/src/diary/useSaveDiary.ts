import type { Diary, DiaryLine, Problem, StoredDiary } from '@even-watt/contract'
import { useState } from 'react'
import { api, problemOf } from '../api/api'
import { answer } from '../ui/answers'

/** Saves a diary on top of the version it was changed from; what was taken away can be had back. */
export function useSaveDiary() {
  const [send, { isLoading: saving }] = api.useSaveDiaryMutation()
  const [problem, setProblem] = useState<Problem>()
  const save = async (
    id: string,
    diary: Diary & Partial<Pick<StoredDiary, 'version'>>,
    change: (lines: readonly DiaryLine[]) => DiaryLine[],
    said: string,
  ): Promise<boolean> => {
    try {
      const { name, lines, version = 0 } = diary
      const saved = await send({ id, editedFrom: version, content: { name, lines: change(lines) } }).unwrap()
      setProblem(undefined)
      answer(`The line is ${said}.`, () => void save(id, saved, () => [...lines], 'as it was'))
      return true
    } catch (error) {
      setProblem(problemOf(error))
      return false
    }
  }
  return { save, saving, problem }
}

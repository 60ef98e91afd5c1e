import { answersOf, tellingRig, type Answered, type AskedOfTrial } from '@even-watt/core'
import { useMemo } from 'react'
import { useOnRig } from '../catalogue/useOnRig'
import { useTrial } from '../trials/useTrial'

/** What the questions of a trial are answered from: the rig that tells most, and how its claims stand. */
export function useAsked(): AskedOfTrial {
  const { trial, view, analysis } = useTrial()
  const on = useOnRig(view.analyses, tellingRig(view.analyses) ?? analysis)
  return useMemo(() => ({ on, view, trial }), [on, view, trial])
}

export function useAnswers(asked: AskedOfTrial): readonly Answered[] {
  return useMemo(() => answersOf(asked), [asked])
}

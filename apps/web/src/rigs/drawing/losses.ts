import type { Rig } from '@even-watt/contract'
import { elementStates, type SurveyFigures } from '@even-watt/core'
import type { Loss } from './RigDrawing'

/** What each element gives off at a current, A, for the drawing. */
export const lossesAt = (rig: Rig, current: number, survey?: SurveyFigures): ReadonlyMap<string, Loss> =>
  new Map(
    elementStates(rig, current, survey).map(({ element, watts, heat }) => [element.id, { watts, heat }]),
  )

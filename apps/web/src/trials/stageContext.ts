import { createContext, useContext } from 'react'
import type { Stage } from '../stage'

/** The work order, for what goes through all stages. */
export const StagesContext = createContext<readonly Stage[]>([])
export const useStages = () => useContext(StagesContext)

/** The stage whose page is on screen. */
export const StageContext = createContext<Stage | undefined>(undefined)
export const useStage = () => useContext(StageContext)

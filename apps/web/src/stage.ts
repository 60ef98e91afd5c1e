import type { BlockKind, EntryOf, ReadingKind, Unit } from '@even-watt/contract'
import type { Analysis } from '@even-watt/core'
import type { ComponentType } from 'react'
import type { TrialState } from './trials/useTrial'
import { fetched, type Fetched } from './ui/fetched'

export interface StagePage {
  /** Below the trial. */
  readonly path: string
  /** Its words among the stage's tabs; a page without them is reached from another. */
  readonly tab?: string
  /** For units that have nothing to do there it is no tab. */
  readonly suits?: (unit: Unit) => boolean
  /** Fetches the page; begun as soon as it is headed for. */
  readonly load: () => Promise<{ default: ComponentType }>
  /** It shows the parts that all stages bring to the report: they are fetched along with it. */
  readonly gathers?: true
}

export interface Progress {
  readonly said: string
  readonly done: 'none' | 'part' | 'whole'
}

/** Where a stage's part stands in the report: before all, with the unit, under each rig, or after all. */
type ReportPlace = 'answer' | 'unit' | 'rig' | 'end'

export interface ReportProps {
  readonly state: TrialState
  /** The rig revision that the part is of; outside `rig` the newest. */
  readonly analysis: Analysis
}

/** A chart, a table or a text that a report is composed of. */
export interface ReportPart extends Fetched<ReportProps> {
  readonly words: string
  readonly place: ReportPlace
}

/** Parts of one file, fetched when one of them is first shown. */
export const reportParts = <Name extends string>(
  place: ReportPlace,
  load: () => Promise<Readonly<Record<Name, ComponentType<ReportProps>>>>,
  parts: readonly (readonly [words: string, name: Name])[],
): ReportPart[] =>
  parts.map(([words, name]) => ({ words, place, ...fetched(async () => (await load())[name]) }))

/** One stage of the work order: all that the rest of the application knows of it (docs/adding-a-subject.md). */
export interface Stage {
  readonly words: string
  /** Units that have it; absent: all. What was read in it stays reachable. */
  readonly suits?: (unit: Unit) => boolean
  /** The first is the stage's own address. */
  readonly pages: readonly [StagePage, ...StagePage[]]
  /** How far it is, in words. */
  readonly state: (trial: TrialState) => Progress
  /** What it brings to the report, each to be placed by itself. */
  readonly report?: readonly ReportPart[]
  /** Stands over every page of a trial. */
  readonly strip?: { readonly when: (trial: TrialState) => boolean; readonly Part: ComponentType }
  /** Blocks of a schedule that are worked here. */
  readonly works?: readonly BlockKind[]
  /** What an entry of its own is called where readings are listed. */
  readonly names?: { readonly [K in ReadingKind]?: (reading: EntryOf<K>['reading']) => string }
}

/** Stages that are worked together: one place of the work order. */
export interface StageGroup {
  readonly words: string
  readonly stages: readonly [Stage, ...Stage[]]
  /** Where it leads to, and whose state tells of it; absent: its first. */
  readonly opens?: Stage
}

export const many = (count: number, word: string) => `${count} ${word}${count === 1 ? '' : 's'}`

export const pathOf = (stage: Stage): string => stage.pages[0].path

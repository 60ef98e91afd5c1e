import type {
  BackupSummary,
  Checklist,
  Comparison,
  Diary,
  DocumentUses,
  Edition,
  Entry,
  FiguresOverTrials,
  LanState,
  Load,
  Meter,
  NewEdition,
  NewRevision,
  NewTrial,
  Problem,
  Publishable,
  RememberedRecipe,
  Rig,
  Running,
  SearchAnswer,
  Settings,
  StoredChecklist,
  StoredComparison,
  StoredDiary,
  StoredLoad,
  StoredMeter,
  StoredRig,
  StoredSettings,
  StoredUnit,
  Taken,
  Trial,
  TrialDocument,
  TrialOrder,
  TrialPage,
  TrialSettings,
  TrialVerdicts,
  Unit,
  UnitLife,
} from '@even-watt/contract'
import { keepEntries } from '../offline/keepEntries'
import { base } from './base'
import { followTrial } from './following'
import { asItStands } from './savedLast'
import { createApi, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'

export interface Edit<Content> {
  id: string
  editedFrom: number
  content: Content
}

/** A page of the list of trials. */
export interface TrialsWanted {
  readonly search?: string
  readonly by?: TrialOrder
  readonly way?: 'up' | 'down'
  readonly limit: number
  readonly offset?: number
  /** Of each unit only the newest. */
  readonly newest?: 'yes'
  /** Those put away, instead of the others. */
  readonly away?: 'yes'
}

interface Deletion {
  id: string
  editedFrom: number
}

/** A document as it is kept. */
interface Kept {
  readonly id: string
}

type Document = 'unit' | 'meter' | 'rig' | 'load' | 'comparison' | 'checklist' | 'diary'
type DocumentList = 'units' | 'meters' | 'rigs' | 'loads' | 'comparisons' | 'checklists' | 'diaries'

/** All entries of a trial, and the cursor from which what is new is followed. */
export interface Followed {
  entries: Entry[]
  cursor: string
}

/** Server state: documents, trials and their entries. Everything shown is derived from these by core. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: base,
  tagTypes: [
    'unit',
    'meter',
    'rig',
    'load',
    'comparison',
    'checklist',
    'diary',
    'edition',
    'trials',
    'trial',
    'entries',
    'settings',
    'lan',
  ],
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: (build) => {
    const documents = <Content, Stored extends Kept>(what: Document, list: DocumentList) => ({
      all: build.query<Stored[], void>({ query: () => `/${list}`, providesTags: [what] }),
      save: build.mutation<Stored, Edit<Content>>({
        query: ({ id, ...body }) => ({ url: `/${list}/${id}`, method: 'PUT', body }),
        invalidatesTags: [what],
        // It stands in the list before that is read again: the next change builds on it.
        onQueryStarted: async (_edit, { dispatch, queryFulfilled }) => {
          const answer = await queryFulfilled.catch(() => undefined)
          if (!answer) return
          dispatch(
            api.util.updateQueryData(list, undefined, (all: Kept[]) => {
              const at = all.findIndex(({ id }) => id === answer.data.id)
              all.splice(at < 0 ? all.length : at, 1, answer.data)
            }),
          )
        },
      }),
      remove: build.mutation<null, Deletion>({
        query: ({ id, editedFrom }) => ({ url: `/${list}/${id}?editedFrom=${editedFrom}`, method: 'DELETE' }),
        invalidatesTags: [what],
      }),
    })
    const unit = documents<Unit, StoredUnit>('unit', 'units')
    const meter = documents<Meter, StoredMeter>('meter', 'meters')
    const rig = documents<Rig, StoredRig>('rig', 'rigs')
    const load = documents<Load, StoredLoad>('load', 'loads')
    const comparison = documents<Comparison, StoredComparison>('comparison', 'comparisons')
    const checklist = documents<Checklist, StoredChecklist>('checklist', 'checklists')
    const diary = documents<Diary, StoredDiary>('diary', 'diaries')
    return {
      units: unit.all,
      saveUnit: unit.save,
      deleteUnit: unit.remove,
      meters: meter.all,
      saveMeter: meter.save,
      deleteMeter: meter.remove,
      rigs: rig.all,
      saveRig: rig.save,
      deleteRig: rig.remove,
      loads: load.all,
      saveLoad: load.save,
      deleteLoad: load.remove,
      comparisons: comparison.all,
      saveComparison: comparison.save,
      deleteComparison: comparison.remove,
      checklists: checklist.all,
      saveChecklist: checklist.save,
      deleteChecklist: checklist.remove,
      diaries: diary.all,
      saveDiary: diary.save,
      uses: build.query<DocumentUses, { what: 'unit' | 'meter' | 'rig' | 'load' | 'checklist'; id: string }>({
        query: ({ what, id }) => `/${what}s/${id}/uses`,
      }),
      taken: build.query<Taken[], void>({ query: () => '/loads/taken', providesTags: ['load', 'entries'] }),
      unitLife: build.query<UnitLife, string>({
        query: (id) => `/units/${id}/life`,
        providesTags: ['entries', 'trials'],
      }),
      editions: build.query<Edition[], { kind: Publishable; of: string }>({
        query: (params) => ({ url: '/editions', params }),
        providesTags: ['edition'],
      }),
      editionByContent: build.query<Edition, string>({ query: (sha256) => `/editions/by-content/${sha256}` }),
      keepEdition: build.mutation<Edition, { id: string; edition: NewEdition }>({
        query: ({ id, edition }) => ({ url: `/editions/${id}`, method: 'PUT', body: edition }),
        invalidatesTags: ['edition'],
      }),
      lan: build.query<LanState, void>({ query: () => '/lan', providesTags: ['lan'] }),
      switchLan: build.mutation<LanState, { on: boolean; passphrase?: string; shutOut?: boolean }>({
        query: (body) => ({ url: '/lan', method: 'PUT', body }),
        invalidatesTags: ['lan'],
      }),
      shutOut: build.mutation<LanState, string>({
        query: (id) => ({ url: `/lan/devices/${id}`, method: 'DELETE' }),
        invalidatesTags: ['lan'],
      }),
      settings: build.query<StoredSettings | null, void>({
        query: () => '/settings',
        providesTags: ['settings'],
      }),
      saveSettings: build.mutation<StoredSettings, { editedFrom: number; content: Settings }>({
        query: (body) => ({ url: '/settings', method: 'PUT', body }),
        invalidatesTags: ['settings'],
        onQueryStarted: async (_settings, { dispatch, queryFulfilled }) => {
          const answer = await queryFulfilled.catch(() => undefined)
          if (answer) dispatch(api.util.updateQueryData('settings', undefined, () => answer.data))
        },
      }),
      trials: build.query<TrialPage, TrialsWanted>({
        query: (wanted) => ({ url: '/trials', params: { ...wanted } }),
        providesTags: ['trials'],
      }),
      running: build.query<Running[], void>({
        query: () => '/trials/running',
        providesTags: ['trials', 'entries'],
      }),
      search: build.query<SearchAnswer, string>({ query: (q) => ({ url: '/search', params: { q } }) }),
      overTrials: build.query<FiguresOverTrials, readonly string[]>({
        query: (figures) => ({ url: '/trials/figures', params: { figures: figures.join(',') } }),
        providesTags: ['trials'],
      }),
      verdicts: build.query<TrialVerdicts, readonly string[]>({
        query: (ids) => ({ url: '/trials/verdicts', params: { ids: ids.join(',') } }),
        providesTags: ['trials', 'entries'],
      }),
      trial: build.query<Trial, string>({
        query: (id) => `/trials/${id}`,
        transformResponse: asItStands,
        providesTags: (_result, _error, id) => [{ type: 'trial', id }],
      }),
      /** A whole trial at once, not followed: for looking at several beside each other. */
      document: build.query<TrialDocument, string>({
        query: (id) => `/trials/${id}/export.json`,
        providesTags: (_result, _error, id) => [
          { type: 'trial', id },
          { type: 'entries', id },
        ],
      }),
      putAway: build.query<{ away: boolean }, string>({
        query: (id) => `/trials/${id}/put-away`,
        providesTags: (_result, _error, id) => [{ type: 'trial', id }],
      }),
      setPutAway: build.mutation<{ away: boolean }, { id: string; away: boolean }>({
        query: ({ id, away }) => ({ url: `/trials/${id}/put-away`, method: 'PUT', body: { away } }),
        invalidatesTags: (_result, _error, { id }) => [{ type: 'trial', id }, 'trials'],
      }),
      deleteTrial: build.mutation<null, { id: string; title: string }>({
        query: ({ id, title }) => ({ url: `/trials/${id}`, method: 'DELETE', body: { title } }),
        invalidatesTags: ['trials'],
      }),
      restoreBackup: build.mutation<BackupSummary, Blob>({
        // As long as it takes: an hour.
        query: (body) => ({ url: '/backup', method: 'PUT', body, timeout: 3_600_000 }),
      }),
      startTrial: build.mutation<Trial, NewTrial>({
        query: (body) => ({ url: '/trials', method: 'POST', body }),
        invalidatesTags: ['trials'],
      }),
      saveTrial: build.mutation<Trial, { id: string; editedFrom: number; settings: TrialSettings }>({
        query: ({ id, ...body }) => ({ url: `/trials/${id}`, method: 'PUT', body }),
        invalidatesTags: (_result, _error, { id }) => [{ type: 'trial', id }, 'trials'],
      }),
      addRevision: build.mutation<Trial, NewRevision & { trial: string }>({
        query: ({ trial, ...body }) => ({ url: `/trials/${trial}/revisions`, method: 'POST', body }),
        invalidatesTags: (_result, _error, { trial }) => [{ type: 'trial', id: trial }, 'trials'],
      }),
      entries: build.query<Followed, string>({
        queryFn: async (trial, _api, _options, fetch) => {
          const entries: Entry[] = []
          for (let cursor = '0'; ;) {
            const result = await fetch(`/trials/${trial}/entries?after=${cursor}`)
            if (result.error) return { error: result.error }
            const page = result.data as Followed & { more: boolean }
            entries.push(...page.entries)
            ;({ cursor } = page)
            // Frozen here, or the store goes through every value of a long ladder to freeze it.
            if (!page.more) return { data: { entries: Object.freeze(entries) as Entry[], cursor } }
          }
        },
        providesTags: (_result, _error, id) => [{ type: 'entries', id }],
        onCacheEntryAdded: async (
          trial,
          { cacheDataLoaded, cacheEntryRemoved, updateCachedData, dispatch, getState },
        ) => {
          const loaded = await cacheDataLoaded.catch(() => undefined)
          if (!loaded) return
          const stop = followTrial(trial, loaded.data.cursor, {
            entries: (found, cursor) =>
              updateCachedData((draft) => {
                const here = new Set(draft.entries.map(({ id }) => id))
                draft.entries.push(...found.filter(({ id }) => !here.has(id)))
                draft.cursor = cursor
                keepEntries(trial, draft.entries.length)
              }),
            trial: ({ version, revisions }) => {
              const known = api.endpoints.trial.select(trial)(
                getState() as Parameters<ReturnType<typeof api.endpoints.trial.select>>[0],
              ).data
              if (known && (known.version !== version || known.revisions.length !== revisions))
                dispatch(api.util.invalidateTags([{ type: 'trial', id: trial }]))
            },
            reset: () => dispatch(api.util.invalidateTags([{ type: 'entries', id: trial }])),
          })
          await cacheEntryRemoved
          stop()
        },
      }),
      sendEntries: build.mutation<{ kept: number }, { trial: string; entries: Entry[] }>({
        query: ({ trial, entries }) => ({ url: `/trials/${trial}/entries`, method: 'POST', body: entries }),
      }),
      importTrial: build.mutation<{ id: string; missing: number }, Blob>({
        query: (body) => ({
          url: '/trials/import',
          method: 'POST',
          body,
          headers: { 'Content-Type': body.type },
        }),
        invalidatesTags: ['trials'],
      }),
      recipes: build.query<RememberedRecipe[], void>({ query: () => '/captures/recipes' }),
      loadDemo: build.mutation<null, void>({
        query: () => ({ url: '/demo', method: 'POST' }),
        invalidatesTags: ['unit', 'meter', 'rig', 'load', 'comparison', 'checklist', 'diary', 'trials'],
      }),
    }
  },
})

const isProblem = (data: unknown): data is Problem =>
  typeof data === 'object' && data !== null && 'title' in data

/** The problem document of a failed request; a network failure becomes one too. */
export function problemOf(error: unknown): Problem {
  const failure = error as Partial<FetchBaseQueryError> | undefined
  if (failure && isProblem(failure.data)) return failure.data
  return {
    type: 'about:blank',
    title: 'The server does not answer.',
    status: 0,
    detail: 'What you typed is kept here. Is Even Watt still running?',
  }
}

export const isConflict = (problem: Problem) => problem.type === 'even-watt:conflict'

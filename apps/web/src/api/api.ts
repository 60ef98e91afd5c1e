import type {
  Entry,
  Load,
  Meter,
  NewRevision,
  NewTrial,
  Problem,
  Rig,
  StoredLoad,
  StoredMeter,
  StoredRig,
  StoredUnit,
  Taken,
  Trial,
  TrialOrder,
  TrialPage,
  TrialSettings,
  TrialVerdicts,
  Unit,
} from '@even-watt/contract'
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'

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
}

interface Deletion {
  id: string
  editedFrom: number
}

interface EntriesPage {
  entries: Entry[]
  last: string | null
}

const base = fetchBaseQuery({
  baseUrl: '/api',
  // Problem documents are JSON under another name.
  responseHandler: async (response) => {
    const text = await response.text()
    return text ? (JSON.parse(text) as unknown) : null
  },
})

/** Server state: documents, trials and their entries. Everything shown is derived from these by core. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: base,
  tagTypes: ['unit', 'meter', 'rig', 'load', 'trials', 'trial', 'entries'],
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: (build) => ({
    units: build.query<StoredUnit[], void>({ query: () => '/units', providesTags: ['unit'] }),
    saveUnit: build.mutation<StoredUnit, Edit<Unit>>({
      query: ({ id, ...body }) => ({ url: `/units/${id}`, method: 'PUT', body }),
      invalidatesTags: ['unit'],
    }),
    deleteUnit: build.mutation<null, Deletion>({
      query: ({ id, editedFrom }) => ({ url: `/units/${id}?editedFrom=${editedFrom}`, method: 'DELETE' }),
      invalidatesTags: ['unit'],
    }),
    meters: build.query<StoredMeter[], void>({ query: () => '/meters', providesTags: ['meter'] }),
    saveMeter: build.mutation<StoredMeter, Edit<Meter>>({
      query: ({ id, ...body }) => ({ url: `/meters/${id}`, method: 'PUT', body }),
      invalidatesTags: ['meter'],
    }),
    deleteMeter: build.mutation<null, Deletion>({
      query: ({ id, editedFrom }) => ({ url: `/meters/${id}?editedFrom=${editedFrom}`, method: 'DELETE' }),
      invalidatesTags: ['meter'],
    }),
    rigs: build.query<StoredRig[], void>({ query: () => '/rigs', providesTags: ['rig'] }),
    saveRig: build.mutation<StoredRig, Edit<Rig>>({
      query: ({ id, ...body }) => ({ url: `/rigs/${id}`, method: 'PUT', body }),
      invalidatesTags: ['rig'],
    }),
    deleteRig: build.mutation<null, Deletion>({
      query: ({ id, editedFrom }) => ({ url: `/rigs/${id}?editedFrom=${editedFrom}`, method: 'DELETE' }),
      invalidatesTags: ['rig'],
    }),
    loads: build.query<StoredLoad[], void>({ query: () => '/loads', providesTags: ['load'] }),
    taken: build.query<Taken[], void>({ query: () => '/loads/taken', providesTags: ['load', 'entries'] }),
    saveLoad: build.mutation<StoredLoad, Edit<Load>>({
      query: ({ id, ...body }) => ({ url: `/loads/${id}`, method: 'PUT', body }),
      invalidatesTags: ['load'],
    }),
    deleteLoad: build.mutation<null, Deletion>({
      query: ({ id, editedFrom }) => ({ url: `/loads/${id}?editedFrom=${editedFrom}`, method: 'DELETE' }),
      invalidatesTags: ['load'],
    }),
    trials: build.query<TrialPage, TrialsWanted>({
      query: (wanted) => ({ url: '/trials', params: { ...wanted } }),
      providesTags: ['trials'],
    }),
    verdicts: build.query<TrialVerdicts, readonly string[]>({
      query: (ids) => ({ url: '/trials/verdicts', params: { ids: ids.join(',') } }),
      providesTags: ['trials', 'entries'],
    }),
    trial: build.query<Trial, string>({
      query: (id) => `/trials/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'trial', id }],
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
    entries: build.query<Entry[], string>({
      queryFn: async (trial, _api, _options, fetch) => {
        const all: Entry[] = []
        let after = '0'
        for (;;) {
          const result = await fetch(`/trials/${trial}/entries?after=${after}`)
          if (result.error) return { error: result.error }
          const page = result.data as EntriesPage
          all.push(...page.entries)
          if (page.last === null) return { data: all }
          after = page.last
        }
      },
      providesTags: (_result, _error, id) => [{ type: 'entries', id }],
    }),
    sendEntries: build.mutation<{ kept: number }, { trial: string; entries: Entry[] }>({
      query: ({ trial, entries }) => ({ url: `/trials/${trial}/entries`, method: 'POST', body: entries }),
    }),
    importTrial: build.mutation<{ id: string }, unknown>({
      query: (body) => ({ url: '/trials/import', method: 'POST', body }),
      invalidatesTags: ['trials'],
    }),
    loadDemo: build.mutation<null, void>({
      query: () => ({ url: '/demo', method: 'POST' }),
      invalidatesTags: ['unit', 'meter', 'rig', 'load', 'trials'],
    }),
  }),
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

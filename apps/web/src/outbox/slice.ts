import type { Entry } from '@even-watt/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** An entry the server has not acknowledged. */
export interface Unsent {
  readonly trial: string
  readonly entry: Entry
}

interface Refusal {
  readonly trial: string
  readonly sentence: string
}

export interface OutboxState {
  readonly unsent: readonly Unsent[]
  /** The server is away: entries wait and are sent again. */
  readonly away: boolean
  /** The server refused entries for good; they stay here until the tester decides. */
  readonly refused: Refusal | undefined
}

const initialState: OutboxState = { unsent: [], away: false, refused: undefined }

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    restored: (state, { payload }: PayloadAction<Unsent[]>) => {
      const known = new Set(state.unsent.map(({ entry }) => entry.id))
      return { ...state, unsent: [...payload.filter(({ entry }) => !known.has(entry.id)), ...state.unsent] }
    },
    captured: (state, { payload }: PayloadAction<Unsent[]>) => ({
      ...state,
      unsent: [...state.unsent, ...payload],
    }),
    acknowledged: (state, { payload }: PayloadAction<string[]>) => ({
      ...state,
      away: false,
      refused: undefined,
      unsent: state.unsent.filter(({ entry }) => !payload.includes(entry.id)),
    }),
    serverAway: (state) => ({ ...state, away: true }),
    refused: (state, { payload }: PayloadAction<Refusal>) => ({ ...state, away: false, refused: payload }),
  },
})

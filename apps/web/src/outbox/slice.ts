import type { Entry } from '@even-watt/contract'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** An entry the server has not acknowledged. */
export interface Unsent {
  readonly trial: string
  readonly entry: Entry
}

/** An entry the server does not take as it is, with its sentence; it waits for the tester. */
export interface SetAside extends Unsent {
  readonly why: string
}

export interface OutboxState {
  readonly unsent: readonly Unsent[]
  readonly aside: readonly SetAside[]
  /** The server is away: entries wait and are sent again. */
  readonly away: boolean
  /** Why this browser keeps nothing meanwhile, where it does not. */
  readonly keepsNothing: string | undefined
  /** The file whose bytes are being sent, and how much of it is there, 0 to 1. */
  readonly file: { readonly name: string; readonly share: number } | undefined
}

const initialState: OutboxState = {
  unsent: [],
  aside: [],
  away: false,
  keepsNothing: undefined,
  file: undefined,
}

const without = <T extends Unsent>(items: readonly T[], ids: ReadonlySet<string>) =>
  items.filter(({ entry }) => !ids.has(entry.id))

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    /** What the browser kept, of this page or another, stands before what was captured since. */
    restored: (state, { payload }: PayloadAction<Pick<OutboxState, 'unsent' | 'aside'>>) => {
      const aside = new Set(payload.aside.map(({ entry }) => entry.id))
      const known = new Set([...state.unsent.map(({ entry }) => entry.id), ...aside])
      return {
        ...state,
        unsent: [...without(payload.unsent, known), ...without(state.unsent, aside)],
        aside: [...without(state.aside, aside), ...payload.aside],
      }
    },
    captured: (state, { payload }: PayloadAction<readonly Unsent[]>) => ({
      ...state,
      unsent: [...state.unsent, ...payload],
    }),
    acknowledged: (state, { payload }: PayloadAction<readonly string[]>) => ({
      ...state,
      away: false,
      unsent: without(state.unsent, new Set(payload)),
    }),
    serverAway: (state) => ({ ...state, away: true }),
    setAside: (state, { payload }: PayloadAction<SetAside>) => {
      const ids = new Set([payload.entry.id])
      return {
        ...state,
        away: false,
        unsent: without(state.unsent, ids),
        aside: [...without(state.aside, ids), payload],
      }
    },
    settled: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      aside: without(state.aside, new Set([payload])),
    }),
    sending: (state, { payload }: PayloadAction<OutboxState['file']>) => ({ ...state, file: payload }),
    keepsNothing: (state, { payload }: PayloadAction<string | undefined>) => ({
      ...state,
      keepsNothing: payload,
    }),
  },
})

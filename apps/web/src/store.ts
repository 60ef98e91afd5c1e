import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { api } from './api/api'
import { outboxSlice } from './outbox/slice'

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, outbox: outboxSlice.reducer },
  middleware: (defaults) =>
    defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  // By the next frame a box that was ticked would have gone back to what the store said before.
  enhancers: (defaults) => defaults({ autoBatch: { type: 'tick' } }),
})
setupListeners(store.dispatch)

export type State = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<State>()

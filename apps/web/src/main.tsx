import './app.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import { askBeforeLeaving } from './api/savedLast'
import { openOffline } from './offline/register'
import { startOutbox } from './outbox/outbox'
import { router } from './routes'
import { store } from './store'

const root = document.getElementById('root')
if (!root) throw new Error('The page has no root.')
void startOutbox()
openOffline()
askBeforeLeaving()
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
)

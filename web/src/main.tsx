import '@fontsource-variable/instrument-sans/wght.css'
import '@fontsource-variable/literata/wght.css'
import './styles.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { keepFocus } from './app/keepFocus.ts'
import { router } from './app/router.tsx'
import { store } from './app/store.ts'
import { applyTheme } from './app/theme.ts'

applyTheme()
keepFocus()
createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
)

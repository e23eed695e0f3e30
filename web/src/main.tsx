import '@fontsource-variable/instrument-sans/wght.css'
import '@fontsource-variable/literata/wght.css'
import './styles.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { BrowserRouter } from 'react-router'
import { keepFocus } from './app/keepFocus.ts'
import { Pages } from './app/Pages.tsx'
import { store } from './app/store.ts'
import { applyTheme } from './app/theme.ts'

applyTheme()
keepFocus()
createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <Provider store={store}>
      <BrowserRouter>
        <Pages />
      </BrowserRouter>
    </Provider>
  </StrictMode>,
)

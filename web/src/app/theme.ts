export type Theme = 'light' | 'dark'

const key = 'young-oak-theme'

/** The chosen theme, else the device's. */
export function currentTheme(): Theme {
  const chosen = localStorage.getItem(key)
  if (chosen === 'light' || chosen === 'dark') return chosen
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}

export function applyTheme(theme: Theme = currentTheme()): void {
  document.documentElement.dataset.theme = theme
  document
    .querySelector('meta[name="theme-color"]')
    ?.setAttribute('content', theme === 'dark' ? '#141a16' : '#f7f3ea')
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(key, theme)
  applyTheme(theme)
}

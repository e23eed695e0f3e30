/** Loads what is loaded on demand once the page has nothing else to do, so that it is there without signal too. */
export function loadLater(): void {
  const load = () => {
    for (const one of [import('./WhyLadder.tsx'), import('./ExplainedText.tsx'), import('./ShownToasts.tsx')])
      void one.catch(() => undefined)
  }
  // Safari knows no idle callback.
  if ('requestIdleCallback' in globalThis) requestIdleCallback(load)
  else setTimeout(load, 2000)
}

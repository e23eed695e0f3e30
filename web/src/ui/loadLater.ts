/** Loads what is loaded on demand, and what a page has of its own, once there is nothing else to do, so that it is there without signal too. */
export function loadLater(own: () => Promise<unknown>): void {
  const load = () => {
    const all = [import('./WhyLadder.tsx'), import('./ExplainedText.tsx'), import('./ShownToasts.tsx'), own()]
    for (const one of all) void one.catch(() => undefined)
  }
  // Safari knows no idle callback.
  if ('requestIdleCallback' in globalThis) requestIdleCallback(load)
  else setTimeout(load, 2000)
}

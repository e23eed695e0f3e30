import { useEffect, useState, type ComponentType, type ReactNode } from 'react'

/**
 * A component that is loaded when it is first shown. Until then its fallback stands, and where it cannot be loaded, as without signal, it goes on
 * standing: the page never breaks for it, and the next one that is shown tries again.
 */
export function onDemand<P extends object>(load: () => Promise<{ default: ComponentType<P> }>) {
  let Loaded: ComponentType<P> | null = null
  return function OnDemand({ fallback, of }: { fallback: ReactNode; of: P }) {
    const [isLoaded, setLoaded] = useState(Loaded !== null)
    useEffect(() => {
      if (isLoaded) return
      void load().then(
        (module) => {
          Loaded = module.default
          setLoaded(true)
        },
        () => undefined,
      )
    }, [isLoaded])
    return isLoaded && Loaded ? <Loaded {...of} /> : fallback
  }
}

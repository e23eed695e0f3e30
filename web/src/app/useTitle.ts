import { useEffect } from 'react'

/** The title of the page's tab: what it is of, then the product. */
export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Young Oak`
  }, [title])
}

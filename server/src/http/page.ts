import { pageSize, type Page } from '@young-oak/api/contracts'

/** A page of what was asked for with one line more than it holds: that one says that there is a next. */
export function pageFrom<T extends { id: string }>(rows: T[], most = pageSize): Page<T> {
  const items = rows.slice(0, most)
  return { items, next: rows.length > items.length ? (items.at(-1)?.id ?? null) : null }
}

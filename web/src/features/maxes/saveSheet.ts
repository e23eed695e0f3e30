import type { Library } from '@young-oak/core/library'
import Papa from 'papaparse'
import type { MaxTableLine } from '@young-oak/api/maxes'
import { maxCells, maxHeader } from '@young-oak/core/parsing'
import { today } from '../../app/today.ts'

/** Every max that is known of a writer's members, as the text of a sheet that can be brought in again. */
export function sheetOf(library: Library, members: MaxTableLine[]): string {
  const names = members.map(({ name }) => name)
  const isTwice = (name: string) => names.indexOf(name) !== names.lastIndexOf(name)
  const lines = members.flatMap(({ id, name, known }) =>
    known.map((max) => maxCells(library, isTwice(name) ? id : name, max)),
  )
  return Papa.unparse({ fields: maxHeader, data: lines }, { escapeFormulae: true })
}

export function saveSheet(library: Library, table: MaxTableLine[]): void {
  const url = URL.createObjectURL(new Blob([sheetOf(library, table)], { type: 'text/csv;charset=utf-8' }))
  const link = Object.assign(document.createElement('a'), { href: url, download: `maxes-${today()}.csv` })
  link.click()
  URL.revokeObjectURL(url)
}

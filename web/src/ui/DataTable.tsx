import {
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { ArrowDown, ArrowUp } from 'lucide-react'
import { useMemo, useRef, type ReactNode } from 'react'

/** A column: what it is called, what it is sorted by, and what its cells show. The first names the row. */
export type DataColumn<Row> = {
  id: string
  title: string
  /** Numbers stand at the right. */
  isNumber?: true
  sortBy?: (row: Row) => string | number
  cell: (row: Row) => ReactNode
}

type Props<Row> = {
  label: string
  rows: Row[]
  columns: DataColumn<Row>[]
  keyOf: (row: Row) => string
  /** The first column stays in sight, and only the rows in sight are drawn. */
  isLong?: true
}

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { alphanumeric: sortFn_alphanumeric },
})
type Features = typeof features

const rowHeight = 41

/** A table that is sorted by its heads. */
export function DataTable<Row extends object>({ label, rows, columns, keyOf, isLong }: Props<Row>) {
  const defined = useMemo(
    () =>
      columns.map(({ id, title, sortBy }): ColumnDef<Features, Row> => ({
        id,
        header: title,
        enableSorting: sortBy !== undefined,
        sortFn: 'alphanumeric',
        accessorFn: (row) => sortBy?.(row) ?? '',
      })),
    [columns],
  )
  const table = useTable<Features, Row>({ features, columns: defined, data: rows, getRowId: keyOf })
  const sorted = table.getRowModel().rows.map(({ original }) => original)
  const [sorting] = table.state.sorting
  const box = useRef<HTMLDivElement>(null)
  // Drawn anew with every scroll, which is what it is for.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    enabled: isLong === true,
  })
  const items = isLong ? virtual.getVirtualItems() : sorted.map((_, index) => ({ index }))
  const first = isLong ? (virtual.getVirtualItems()[0]?.start ?? 0) : 0
  const last = isLong ? virtual.getTotalSize() - (virtual.getVirtualItems().at(-1)?.end ?? 0) : 0
  return (
    <div
      ref={box}
      className={`mt-6 overflow-auto border-y border-line ${isLong ? 'max-h-[75dvh]' : ''}`}
      tabIndex={0}
      role="region"
      aria-label={label}
    >
      <table className="w-full border-separate border-spacing-0" aria-rowcount={sorted.length + 1}>
        <thead className="text-sm text-bark">
          <tr>
            {columns.map((column, i) => (
              <Head
                key={column.id}
                column={column}
                isFirst={i === 0}
                order={sorting?.id === column.id ? (sorting.desc ? 'descending' : 'ascending') : undefined}
                onSort={() => table.getColumn(column.id)?.toggleSorting()}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {first > 0 && <tr aria-hidden style={{ height: first }} />}
          {items.map(({ index }) => {
            const row = sorted[index]
            if (!row) return null
            return <Cells key={keyOf(row)} row={row} columns={columns} index={index} />
          })}
          {last > 0 && <tr aria-hidden style={{ height: last }} />}
        </tbody>
      </table>
    </div>
  )
}

const side = (isNumber?: true): string => (isNumber ? 'text-right' : 'text-left')

type HeadProps<Row> = {
  column: DataColumn<Row>
  isFirst: boolean
  order?: 'ascending' | 'descending'
  onSort: () => void
}

/** A head, which sorts the rows where its column can be sorted. */
function Head<Row>({ column: { title, isNumber, sortBy }, isFirst, order, onSort }: HeadProps<Row>) {
  const Arrow = order === 'descending' ? ArrowDown : ArrowUp
  return (
    <th
      scope="col"
      aria-sort={order}
      className={`sticky top-0 border-b border-line bg-paper px-3 py-2 align-bottom font-medium first:pl-0 ${side(isNumber)} ${isFirst ? 'left-0 z-20' : 'z-10'}`}
    >
      {sortBy ? (
        <button type="button" className="font-medium hover:text-ink" onClick={onSort}>
          {title}
          {order && <Arrow size={13} className="ml-1 inline" aria-hidden />}
        </button>
      ) : (
        title
      )}
    </th>
  )
}

type CellsProps<Row> = { row: Row; columns: DataColumn<Row>[]; index: number }

function Cells<Row>({ row, columns, index }: CellsProps<Row>) {
  return (
    <tr aria-rowindex={index + 2}>
      {columns.map(({ id, isNumber, cell }, i) => {
        const Cell = i === 0 ? 'th' : 'td'
        return (
          <Cell
            key={id}
            scope={i === 0 ? 'row' : undefined}
            className={`border-b border-line px-3 py-2 font-normal first:pl-0 ${side(isNumber)} ${i === 0 ? 'sticky left-0 bg-paper' : ''}`}
          >
            {cell(row)}
          </Cell>
        )
      })}
    </tr>
  )
}

import type { ReactNode } from 'react'

type Props = { className?: string; children: ReactNode }

/** Something said below a line of the sheet: a row of the grid with one cell, which the keyboard passes over. */
export const Aside = ({ className = '', children }: Props) => (
  <div role="row">
    <div role="gridcell" className={className}>
      {children}
    </div>
  </div>
)

import type { ReactNode } from 'react'

/** The buttons at the end of a form in a dialog: always in sight, however long the form is. */
export const Acts = ({ children }: { children: ReactNode }) => (
  <div className="sticky -bottom-5 z-10 col-span-full -mx-5 -mb-5 flex flex-wrap items-center justify-end gap-3 border-t border-line bg-sheet px-5 py-3">
    {children}
  </div>
)

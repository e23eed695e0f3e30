import type { ReactNode } from 'react'

/** What went wrong, said at once; nothing where nothing did. */
export const Alert = ({ className = '', children }: { className?: string; children: ReactNode }) =>
  children ? (
    <p role="alert" className={`text-sm text-brick ${className}`}>
      {children}
    </p>
  ) : null

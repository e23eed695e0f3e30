import type { ReactNode } from 'react'

type Props = { title: ReactNode; className?: string; children: ReactNode }

/** Something rare that opens where it stands. */
export function Details({ title, className = 'mt-1', children }: Props) {
  return (
    <details className={className}>
      <summary className="flex min-h-11 cursor-pointer items-center text-sm underline underline-offset-4">
        {title}
      </summary>
      {children}
    </details>
  )
}

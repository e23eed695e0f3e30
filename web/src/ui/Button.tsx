import type { ButtonHTMLAttributes } from 'react'

const looks = {
  main: 'bg-leaf text-leaf-ink hover:brightness-110 disabled:opacity-50',
  plain: 'border border-edge bg-sheet text-ink hover:border-ink disabled:opacity-50',
  quiet: 'text-ink underline underline-offset-4 hover:text-leaf disabled:opacity-50',
}

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof looks; size?: 'thumb' | 'desk' }

/** `thumb` is the size for a phone between sets: 44 px and up. */
export function Button({ look = 'main', size = 'desk', className = '', type = 'button', ...rest }: Props) {
  const height = size === 'thumb' ? 'min-h-13 px-5 text-lg' : 'min-h-9 px-3.5'
  return (
    <button
      type={type}
      className={`rounded-md font-medium ${height} ${looks[look]} ${className}`}
      {...rest}
    />
  )
}

type Props = { done: number; of: number }

/** Weeks of the program as growth rings: filled ones are done, from the heart outwards. */
export function GrowthRings({ done, of }: Props) {
  const step = 24 / Math.max(of, 1)
  const rings = Array.from({ length: of }, (_, i) => i + 1)
  return (
    <svg width="56" height="56" viewBox="-28 -28 56 56" role="img" aria-label={`${done} of ${of} weeks done`}>
      {rings.map((ring) => (
        <circle
          key={ring}
          r={ring * step}
          fill="none"
          stroke={ring <= done ? 'var(--leaf)' : 'var(--line)'}
          strokeWidth={ring <= done ? Math.min(step * 0.7, 3) : 1}
        />
      ))}
    </svg>
  )
}

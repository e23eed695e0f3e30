/** Weekdays as they are chosen, from Monday: 1 to 7. */
export const weekdayChoices = (['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const).map(
  (said, i) => [String(i + 1), said] as const,
)

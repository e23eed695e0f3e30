/** Names of format 1, and what each may be called in format 2. */
const retired: Record<string, readonly string[]> = {
  // Templates.
  light: ['deloads', 'deload'],
  lightPolicy: ['deloadPolicy'],
  parts: ['sections'],
  turns: ['rotation'],
  follows: ['uses'],
  group: ['superset', 'prescription'],
  byPlace: ['byDay'],
  part: ['kind'],
  plus: ['amrap'],
  sign: ['trigger'],
  ladder: ['listed'],
  rungs: ['schemes', 'sets'],
  plusSet: ['amrapSet'],
  reserveRamp: ['rirRamp'],
  firstLeft: ['firstRir'],
  lastLeft: ['lastRir'],
  extraLeft: ['extraRir'],
  reserve: ['rir'],
  lightWeek: ['deload'],
  left: ['rir'],
  reps: ['rir'],
  // Members.
  skipLight: ['skipDeload'],
  ceiling: ['mostSets'],
  place: ['location', 'day'],
  groups: ['sets'],
}

/** What a name of an earlier format is called today, where that is one of those that are known here: the fix for a fault. */
export function fixForRetired(name: unknown, known: readonly string[]): string | undefined {
  const names = typeof name === 'string' && Object.hasOwn(retired, name) ? retired[name] : undefined
  const now = names?.find((one) => known.includes(one))
  return now && `Since format 2 it is called ${now}.`
}

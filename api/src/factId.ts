/**
 * Ids of facts sort by when they were entered: of one day's facts the engine takes the later id as the later word, and reads no
 * time of arrival. `index` keeps the order of those that are entered together.
 */
export const nextFactId = (index = 0): string =>
  `${Date.now().toString(36).padStart(9, '0')}-${String(index).padStart(4, '0')}-${crypto.randomUUID()}`

import { formatLoad, type Load } from '@young-oak/core/units'

/** "80 kg × 5", "80 kg × 5 with 2 left". */
export const saySet = ({ load, reps, rir }: { load: Load; reps: number; rir?: number }): string =>
  `${formatLoad(load)} × ${reps}${rir ? ` with ${rir} left` : ''}`

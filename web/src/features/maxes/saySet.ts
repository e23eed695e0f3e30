import { formatLoad, type Load } from '@young-oak/core/units'

/** "80 kg × 5". */
export const saySet = ({ load, reps }: { load: Load; reps: number }): string =>
  `${formatLoad(load)} × ${reps}`

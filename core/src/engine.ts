/** The release of the engine. Snapshots carry it; it changes whenever the same input may give another plan. */
export const engine = '0.16.0'

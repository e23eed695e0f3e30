export const several = (n: number): string => (n === 1 ? '1 member' : `${n} members`)

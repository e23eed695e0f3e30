/** Which library of which gym an answer was made with: a page that has another one asks for it first. */
export const libraryMark = (gym: string, revision: number): string => `${gym} ${revision}`

export const libraryHeader = 'X-Library'

import type { Library } from '@young-oak/core/library'
import { useAppSelector } from '../../app/store.ts'

/** The exercises of the gym that is signed in to, beside those that everybody has. */
export const useLibrary = (): Library => useAppSelector(({ library }) => library.exercises)

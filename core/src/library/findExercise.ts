import type { Exercise } from './exercise.ts'
import { exerciseIds, exercises, type ExerciseId } from './exercises.ts'

/**
 * The exercises that a few words describe, best first: words may be of the name in any order, the beginnings of words ("rom dead"),
 * a muscle, a pattern, a tool, or what else it is found by. Every word must fit; none finds all.
 */
export function findExercises(typed: string): ExerciseId[] {
  const words = plain(typed).split(' ').filter(Boolean)
  if (!words.length) return exerciseIds
  const ranked = exerciseIds.flatMap((id) => {
    const rank = rankOf(known[id], words)
    return rank === null ? [] : [{ id, rank }]
  })
  return ranked.sort((a, b) => a.rank - b.rank).map(({ id }) => id)
}

/** The exercise of exactly this name, whatever its case and hyphens. */
export function exerciseNamed(typed: string): ExerciseId | undefined {
  const wanted = plain(typed)
  return exerciseIds.find((id) => known[id].name === wanted)
}

type Known = { name: string; nameWords: string[]; otherWords: string[]; indirectWords: string[] }

/** Lower is better: the whole name, then how much of a name is left over; words of muscles and patterns after all names. */
function rankOf({ name, nameWords, otherWords, indirectWords }: Known, words: string[]): number | null {
  if (name === words.join(' ')) return -1
  let outside = 0
  for (const word of words) {
    if (nameWords.some((one) => one.startsWith(word))) continue
    const isOther = otherWords.some((one) => one.startsWith(word))
    if (!isOther && !indirectWords.some((one) => one.startsWith(word))) return null
    outside += isOther ? 1 : 2
  }
  const starts = nameWords[0]?.startsWith(words[0] ?? '') ? 0 : 10
  return outside * 100 + starts + nameWords.length
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[\s/-]+/g, ' ')
    .trim()

const wordsOf = (...texts: string[]): string[] => plain(texts.join(' ')).split(' ').filter(Boolean)

const known = Object.fromEntries(
  exerciseIds.map((id) => {
    const { name, pattern, tool, direct, indirect, also = '' }: Exercise = exercises[id]
    const otherWords = wordsOf(pattern, tool, ...direct, also)
    return [
      id,
      { name: plain(name), nameWords: wordsOf(name), otherWords, indirectWords: wordsOf(...indirect) },
    ]
  }),
) as Record<ExerciseId, Known>

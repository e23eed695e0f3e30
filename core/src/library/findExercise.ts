import type { Exercise } from './exercise.ts'
import { exerciseOf, exercisesAtHand, type ExerciseId } from './own.ts'

/**
 * The exercises that a few words describe, best first: words may be of the name in any order, the beginnings of words ("rom dead"),
 * a muscle, a pattern, a tool, or what else it is found by. Every word must fit; none finds all.
 */
export function findExercises(typed: string): readonly ExerciseId[] {
  const words = plain(typed).split(' ').filter(Boolean)
  if (!words.length) return exercisesAtHand()
  const ranked = exercisesAtHand().flatMap((id) => {
    const rank = rankOf(wordsFor(exerciseOf({ exercise: id })), words)
    return rank === null ? [] : [{ id, rank }]
  })
  return ranked.sort((a, b) => a.rank - b.rank).map(({ id }) => id)
}

/** The exercise of exactly this name, whatever its case and hyphens. */
export function exerciseNamed(typed: string): ExerciseId | undefined {
  const wanted = plain(typed)
  return exercisesAtHand().find((id) => wordsFor(exerciseOf({ exercise: id })).name === wanted)
}

type Words = { name: string; nameWords: string[]; otherWords: string[]; indirectWords: string[] }

/** Lower is better: the whole name, then how much of a name is left over; words of muscles and patterns after all names. */
function rankOf({ name, nameWords, otherWords, indirectWords }: Words, words: string[]): number | null {
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

/** The words of each exercise are cut once. */
const cut = new WeakMap<Exercise, Words>()

function wordsFor(exercise: Exercise): Words {
  const known = cut.get(exercise)
  if (known) return known
  const { name, pattern, tool, direct, indirect, also = '' } = exercise
  const words = {
    name: plain(name),
    nameWords: wordsOf(name),
    otherWords: wordsOf(pattern, tool, ...direct, also),
    indirectWords: wordsOf(...indirect),
  }
  cut.set(exercise, words)
  return words
}

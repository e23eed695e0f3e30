import type { Exercise } from './exercise.ts'
import type { BuiltInId } from './exercises.ts'
import { otherNames, shortWords } from './otherNames.ts'
import { exerciseOf, exercisesAtHand, type ExerciseId, type Library } from './own.ts'

/**
 * The exercises that a few words describe, best first: words may be of the name in any order, the beginnings of words ("rom dead"),
 * a muscle, a pattern, a tool, or what else it is called or found by; plurals and short words ("DB") are taken. Every word must fit; none
 * finds all.
 */
export function findExercises(library: Library, typed: string): readonly ExerciseId[] {
  const words = plain(typed).split(' ').filter(Boolean)
  if (!words.length) return exercisesAtHand(library)
  const ranked = exercisesAtHand(library).flatMap((id) => {
    const rank = rankOf(wordsFor(library, id), words)
    return rank === null ? [] : [{ id, rank }]
  })
  return ranked.sort((a, b) => a.rank - b.rank).map(({ id }) => id)
}

/** The exercise of exactly this name, whatever its case, hyphens and plural. */
export function exerciseNamed(library: Library, typed: string): ExerciseId | undefined {
  const wanted = keyOf(typed)
  return exercisesAtHand(library).find((id) => wordsFor(library, id).name === wanted)
}

type Words = {
  name: string
  others: string[]
  nameWords: string[]
  otherWords: string[]
  indirectWords: string[]
}

/** Lower is better: the whole name, then how much of a name is left over; words of muscles and patterns after all names. */
function rankOf(
  { name, others, nameWords, otherWords, indirectWords }: Words,
  words: string[],
): number | null {
  const whole = words.map(single).join(' ')
  if (name === whole) return -2
  if (others.includes(whole)) return -1
  let outside = 0
  for (const word of words) {
    if (nameWords.some((one) => one.startsWith(word))) continue
    const isOther = otherWords.some((one) => one.startsWith(word)) || nameWords.includes(single(word))
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
    .split(/[\s/-]+/)
    .filter(Boolean)
    .map((word) => shortWords.get(word) ?? word)
    .join(' ')

/** A name by which equal ones are known, whatever their plural. */
const keyOf = (text: string): string => plain(text).split(' ').map(single).join(' ')

/** "lunges" as "lunge", but "press" as it is. */
const single = (word: string): string =>
  word.length > 2 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word

const wordsOf = (...texts: string[]): string[] => plain(texts.join(' ')).split(' ').filter(Boolean)

/** The words of each exercise are cut once. */
const cut = new WeakMap<Exercise, Words>()

function wordsFor(library: Library, id: ExerciseId): Words {
  const exercise = exerciseOf(library, { exercise: id })
  const known = cut.get(exercise)
  if (known) return known
  const { name, pattern, tool, direct, indirect, also = '' } = exercise
  const others = otherNames[id as BuiltInId] ?? []
  const words = {
    name: keyOf(name),
    others: others.map(keyOf),
    nameWords: wordsOf(name),
    otherWords: wordsOf(pattern, tool, ...direct, also, ...others),
    indirectWords: wordsOf(...indirect),
  }
  cut.set(exercise, words)
  return words
}

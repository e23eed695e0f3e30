import { ruleOf, type RuleKind, type Stage } from '@young-oak/core/progressions'

/** A rule's numbers as they are typed, by path: "step.kg", "rungs.0.sets". */
export type RuleDraft = Record<string, string>

/**
 * What a rule begins with in place of another: the numbers that they share, an example's for the rest, and for members who
 * are on the lift already a little below where it stands, so that none falls back to where everybody starts.
 */
export function paramsFor(rule: RuleKind, stage: Stage): object {
  if (rule === stage.rule) return stage.params
  const { params, examples } = ruleOf[rule]
  const own = Object.fromEntries(Object.entries(stage.params).filter(([key]) => key in params.fields))
  const isStarted = starts.some((key) => key in own)
  const sample = Object.entries(examples[0]?.params ?? {}).filter(
    ([key]) => !(isStarted && starts.includes(key)),
  )
  const standing = 'startLast' in params.fields ? { startLast: 90 } : {}
  return { ...Object.fromEntries(sample), ...standing, ...own }
}

/** The ways of stating a first load exclude one another, so they are taken from one rule or from the other. */
const starts = ['startPercent', 'startReps', 'startLoad', 'startLast']

export function flatten(value: object, before = ''): RuleDraft {
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, inner]) =>
      typeof inner === 'object' && inner !== null
        ? Object.entries(flatten(inner as object, `${before}${key}.`))
        : [[`${before}${key}`, String(inner)]],
    ),
  )
}

/** The numbers back from what was typed; a field left empty is not stated, and what is no number stays as it was typed. */
export function unflatten(draft: RuleDraft): object {
  const made: Node = {}
  for (const [path, text] of Object.entries(draft)) {
    if (!text.trim()) continue
    const keys = path.split('.')
    const last = keys.pop() as string
    let at = made
    keys.forEach((key, i) => {
      at = (at[key] ??= isIndex(keys[i + 1] ?? last) ? ([] as unknown as Node) : {}) as Node
    })
    const number = Number(text.replace(',', '.'))
    at[last] = Number.isNaN(number) ? text : number
  }
  return made
}
type Node = { [key: string]: Node | number | string }

const isIndex = (key: string): boolean => /^\d+$/.test(key)

/** Names of the lists in a draft, with how many entries each has. */
export function listsOf(draft: RuleDraft): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const path of Object.keys(draft)) {
    const [, list, index] = /^(\w+)\.(\d+)(?:\.|$)/.exec(path) ?? []
    if (list) counts[list] = Math.max(counts[list] ?? 0, Number(index) + 1)
  }
  return counts
}

/** A list with one entry more, like its last; or without its last. */
export function resizeList(draft: RuleDraft, list: string, by: 1 | -1): RuleDraft {
  const last = (listsOf(draft)[list] ?? 0) - 1
  const isOfLast = (path: string) => path === `${list}.${last}` || path.startsWith(`${list}.${last}.`)
  if (by < 0) return Object.fromEntries(Object.entries(draft).filter(([path]) => !isOfLast(path)))
  const head = `${list}.${last}`
  return Object.fromEntries(
    Object.entries(draft).flatMap(([path, text], i, all) => {
      if (!isOfLast(path) || isOfLast(all[i + 1]?.[0] ?? '')) return [[path, text]]
      const more = all
        .filter(([one]) => isOfLast(one))
        .map(([one, own]) => [`${list}.${last + 1}${one.slice(head.length)}`, own])
      return [[path, text], ...more]
    }),
  )
}

/** "step.kg" is "Step, kg"; "rungs.0.sets" is "Rung 1, sets". */
export function labelOf(path: string): string {
  const words = path
    .replace(/s?\.(\d+)/g, (_, index: string) => ` ${Number(index) + 1}`)
    .replaceAll('.', ', ')
    .replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`)
  return words.charAt(0).toUpperCase() + words.slice(1)
}

/** Yup's "rungs[0].sets" as the path of a field. */
export const fieldOf = (path = ''): string => path.replace(/\[(\d+)\]/g, '.$1')

import { fieldWords, type Fields, type FieldWords } from '@young-oak/core/words'
import { Checker } from '@young-oak/core/parsing'
import type { ObjectSchema, SchemaDescription, SchemaObjectDescription } from 'yup'

/** Parameters as they are typed, by path: "step.kg", "rungs.0.sets". */
export type ParamDraft = Record<string, string>

/** A kind of progression, trigger, deload or change: what its parameters may be, and what they are called. */
export type ParamKind = { params: ObjectSchema<object>; fields: Fields }

/** What is typed of parameters: what they are, and an empty field for what acts together with them, in the order of their schema. */
export const draftOf = (kind: ParamKind, params: object): ParamDraft => settled(kind, flatten(params))

/** The draft with a field for every parameter that acts beside what is chosen, and without those that do not. */
export function settled(kind: ParamKind, typed: ParamDraft): ParamDraft {
  const all = { ...blankOf(kind.params), ...withBlanks(kind, typed) }
  const acts = (path: string): boolean => {
    const { when, way } = wordsOf(kind.fields, path)
    if (when && all[when.field] !== when.is) return false
    return !way || way.is === wayOf(kind, typed, way.of)
  }
  return Object.fromEntries(Object.entries(all).filter(([path]) => acts(path)))
}

const blankOf = (schema: ObjectSchema<object>): ParamDraft =>
  Object.fromEntries(
    Object.entries(fieldsOf(schema)).flatMap(([key, field]) => pathsOf(key, field).map((path) => [path, ''])),
  )

/** A draft with an empty field for each number that an entry of a list may leave out and that has words, after its others: how long a scheme lasts. */
function withBlanks({ params, fields }: ParamKind, typed: ParamDraft): ParamDraft {
  const known = fieldsOf(params)
  const entries = Object.entries(typed)
  return Object.fromEntries(
    entries.flatMap((entry, i) => {
      const [, list = '', at] = /^(\w+)\.(\d+)\./.exec(entry[0]) ?? []
      if (at === undefined || entries[i + 1]?.[0].startsWith(`${list}.${at}.`)) return [entry]
      const { innerType } = (known[list] ?? {}) as { innerType?: Field }
      const inner = Object.entries((innerType?.fields ?? {}) as Record<string, Field>)
      const left = inner.filter(([key, { type, optional }]) => {
        const words = fields[`${list}.#.${key}`]
        return type === 'number' && optional && words && !words.way && !(`${list}.${at}.${key}` in typed)
      })
      return [entry, ...left.map(([key]) => [`${list}.${at}.${key}`, ''])]
    }),
  ) as ParamDraft
}

/** The ways to state one thing, in the order of its parameters. */
export const waysOf = ({ params, fields }: ParamKind, of: string): string[] => [
  ...new Set(
    Object.keys(blankOf(params)).flatMap((path) => {
      const { way } = wordsOf(fields, path)
      return way?.of === of ? [way.is] : []
    }),
  ),
]

/** The way that is taken: the one of what is typed, else the one whose fields are there, else the first. */
function wayOf(kind: ParamKind, typed: ParamDraft, of: string): string | undefined {
  const own = Object.entries(typed).flatMap(([path, text]) => {
    const { way } = wordsOf(kind.fields, path)
    return way?.of === of ? [{ is: way.is, text }] : []
  })
  const [first] = [...own.filter(({ text }) => text.trim()), ...own]
  return first?.is ?? waysOf(kind, of)[0]
}

/** The draft with one thing stated in another way. */
export function takeWay(kind: ParamKind, typed: ParamDraft, of: string, is: string): ParamDraft {
  const isOther = (path: string) => wordsOf(kind.fields, path).way?.of === of
  const rest = Object.fromEntries(Object.entries(typed).filter(([path]) => !isOther(path)))
  const own = Object.keys(blankOf(kind.params)).filter((path) => {
    const { way } = wordsOf(kind.fields, path)
    return way?.of === of && way.is === is
  })
  return settled(kind, { ...Object.fromEntries(own.map((path) => [path, ''])), ...rest })
}

/** Every field that some draft of the kind has. */
export const fieldsThatMayBe = (kind: ParamKind, params: object): string[] =>
  Object.keys({ ...blankOf(kind.params), ...flatten(params) })

type Field = SchemaDescription & Partial<SchemaObjectDescription>
const fieldsOf = (schema: ObjectSchema<object>): Record<string, Field> =>
  schema.describe().fields as Record<string, Field>

/** The fields of one parameter; a list has those that are in it. */
function pathsOf(key: string, { type, meta, fields }: Field): string[] {
  const { parts } = (meta ?? {}) as { parts?: string[] }
  if (parts) return parts.map((part) => `${key}.${part}`)
  if (type === 'array') return []
  return fields ? Object.keys(fields).map((inner) => `${key}.${inner}`) : [key]
}

/** The words that a parameter may be, where it is one of some words, and none is among them where it may be left out. */
export function choicesOf(schema: ObjectSchema<object>, path: string): string[] | null {
  const field = fieldsOf(schema)[path]
  if (field?.type !== 'string' || !field.oneOf.length) return null
  const words = field.oneOf.map(String)
  return field.optional ? ['', ...words] : words
}

/** The faults of what was typed, each by the field that it belongs to; what belongs to several stands under '', with the fields by their labels. */
export function faultsOf({ params, fields }: ParamKind, typed: ParamDraft): Record<string, string> {
  const checker = new Checker({})
  checker.check(params, unflatten(typed), '')
  const faults: Record<string, string> = {}
  for (const { path, expected } of checker.issues) {
    const at = fieldOf(path)
    const field = at in typed ? at : (Object.keys(typed).find((one) => at && one.startsWith(`${at}.`)) ?? '')
    faults[field] ??=
      `Expected ${expected.replace(/"(\w+)"/g, (said, key: string) => labelOf(fields, key) ?? said)}.`
  }
  return faults
}

/** “Larger step”: what a parameter is called, one of several parts by what they state. */
function labelOf(fields: Fields, key: string): string | null {
  const label = fields[key]?.label ?? fields[`${key}.kg`]?.way?.of ?? fields[`${key}.kg`]?.label
  return label === undefined ? null : `“${label}”`
}

export function flatten(value: object, before = ''): ParamDraft {
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, inner]) =>
      typeof inner === 'object' && inner !== null
        ? Object.entries(flatten(inner as object, `${before}${key}.`))
        : [[`${before}${key}`, String(inner)]],
    ),
  )
}

/** The numbers back from what was typed; a field left empty is not stated, and what is no number stays as it was typed. */
export function unflatten(draft: ParamDraft): object {
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
export function listsOf(draft: ParamDraft): Record<string, number> {
  const counts: Record<string, number> = {}
  for (const path of Object.keys(draft)) {
    const [, list, index] = /^(\w+)\.(\d+)(?:\.|$)/.exec(path) ?? []
    if (list) counts[list] = Math.max(counts[list] ?? 0, Number(index) + 1)
  }
  return counts
}

/** A list with one entry more, like its last; or without its last. */
export function resizeList(draft: ParamDraft, list: string, by: 1 | -1): ParamDraft {
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

/** What a field is called; each kind says it of every parameter, which a test sees to. */
export const wordsOf = (fields: Fields, path: string): FieldWords =>
  fieldWords(fields, path) ?? { label: path, unit: null, hint: '' }

/** Yup's "rungs[0].sets" as the path of a field. */
export const fieldOf = (path = ''): string => path.replace(/\[(\d+)\]/g, '.$1')

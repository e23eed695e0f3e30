// The key tables of the format documents: what a key takes is read from its shape, what it means stands in meanings/.
import {
  adjustmentShape,
  headShape,
  ownExerciseShape,
  phaseRuleShape,
  phaseShape,
  progressionShape,
  sectionShape,
  sessionShape,
  setPrescriptionShape,
  slotShape,
  stageShape,
  trackShape,
  untilShape,
  whereShape,
} from '@young-oak/core/template'
import { factNames, factOf } from '@young-oak/core/facts'
import {
  enrolmentShape,
  memberShape,
  publicationShape,
  sessionLogShape,
  setLogShape,
  shownShape,
} from '@young-oak/core/member'
import { muscles } from '@young-oak/core/library'
import type { Schema, SchemaDescription, SchemaInnerTypeDescription, SchemaObjectDescription } from 'yup'
import { meanings } from './meanings/index.ts'

type Description = SchemaDescription & Partial<SchemaObjectDescription> & Partial<SchemaInnerTypeDescription>
type Key = { path: string; takes: string; isOptional: boolean }

/** The shapes that a table is made of, by the name that a document asks for it by. */
const shapes: Record<string, Schema> = {
  template: headShape,
  phase: phaseShape,
  'weeks of a phase': untilShape,
  session: sessionShape,
  section: sectionShape,
  slot: slotShape,
  sets: setPrescriptionShape,
  exercise: ownExerciseShape,
  progression: progressionShape,
  stage: stageShape,
  'progression in a phase': phaseRuleShape,
  track: trackShape,
  adjustment: adjustmentShape,
  where: whereShape,
  member: memberShape,
  enrolment: enrolmentShape,
  publication: publicationShape,
  log: sessionLogShape,
  set: setLogShape,
  snapshot: shownShape,
}

/** Keys of every entry; facts have them beside their own. */
const ofEveryEntry = ['id', 'rev', 'change', 'replaces', 'saw', 'void', 'waits', 'date', 'kind', 'actsFrom']

/** What is one value to whoever writes it, though it is made of several. */
const wholes = ['exercise,variant', 'value,unit', 'kg,lb', 'from,to', 'fact,week']
const isWhole = ({ fields = {} }: Description): boolean => {
  const names = Object.keys(fields)
  return (
    wholes.includes(names.join()) ||
    (names.length > 0 && names.every((name) => (muscles as readonly string[]).includes(name)))
  )
}

function keysOf(description: Description, before = ''): Key[] {
  return Object.entries((description.fields ?? {}) as Record<string, Description>).flatMap(
    ([name, field]) => {
      const path = before ? `${before}.${name}` : name
      const inner = field.type === 'array' ? (field.innerType as Description | undefined) : field
      const { expected } = (field.meta ?? {}) as { expected?: string }
      const key = {
        path,
        takes: expected ?? (field.type === 'object' ? 'an object' : field.type),
        isOptional: field.optional,
      }
      const isOpen = inner?.type === 'object' && !isWhole(inner)
      return isOpen ? [key, ...keysOf(inner, field.type === 'array' ? `${path}[]` : path)] : [key]
    },
  )
}

/** Every key of a shape with what it takes and means; an error where a meaning is missing, or stands for no key. */
export function keyTable(name: string): string[] {
  const shape = shapes[name]
  if (!shape) throw new Error(`unknown key table "${name}"`)
  return tableOf(name, keysOf(shape.describe() as Description), meanings[name] ?? {})
}

function tableOf(name: string, keys: Key[], own: Record<string, string>): string[] {
  const paths = new Set(keys.map(({ path }) => path))
  const stray = Object.keys(own).filter((path) => !paths.has(path))
  if (stray.length) throw new Error(`the table "${name}" has no keys ${stray.join(', ')}`)
  return [
    '| key | | takes | meaning |',
    '| --- | --- | --- | --- |',
    ...keys.map(({ path, takes, isOptional }) => {
      const means = own[path]
      if (means === undefined) throw new Error(`no meaning of "${path}" in the table "${name}"`)
      return `| \`${path}\` | ${isOptional ? '' : 'needed'} | ${takes.replaceAll('|', '\\|')} | ${means} |`
    }),
  ]
}

/** Every kind of fact with its keys, beside those that every entry has. */
function factTables(): string[] {
  return factNames.flatMap((kind) => {
    const keys = keysOf(factOf[kind].shape.describe() as Description).filter(
      ({ path }) => !ofEveryEntry.includes(path),
    )
    const { about, ...own } = meanings[`fact ${kind}`] ?? {}
    if (about === undefined) throw new Error(`no meaning of the fact "${kind}"`)
    const table = keys.length ? ['', ...tableOf(`fact ${kind}`, keys, own)] : []
    return [`### \`${kind}\``, '', about, ...table, '']
  })
}

/** A document with its tables filled in, between `<!-- keys: slot -->` and `<!-- end -->`. */
export const withKeyTables = (text: string): string =>
  text.replace(/<!-- keys: ([\w ]+) -->[\s\S]*?<!-- end -->/g, (_, name: string) => {
    const table = name === 'facts' ? factTables() : keyTable(name)
    return `<!-- keys: ${name} -->\n\n${table.join('\n').trim()}\n\n<!-- end -->`
  })

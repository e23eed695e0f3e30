import { build, buildHeader } from '@young-oak/api/build'
import { contracts, outlineOf, pageSize, type Contract, type Outline } from '@young-oak/api/contracts'
import { anywhere, problems, type ProblemCode } from '@young-oak/api/problems'
import type { AnySchema, ObjectSchema } from 'yup'

/** docs/http.md: every route as its contract has it. */
export function http(): string {
  const named = new Map<string, Outline>()
  const routes = Object.values<Contract>(contracts).map((one) => routeOf(one, named))
  // Shapes may name further ones while they are written.
  const shapes: string[] = []
  for (const [name, outline] of named)
    shapes.push(`### ${name}\n\n\`\`\`\n${sayOutline(outline, named, '', true)}\n\`\`\`\n`)
  return [
    '# What crosses the wire\n',
    'Generated from the contracts in `api/src/contracts` by `npm run docs`. Bodies and answers are JSON, under `/api`. A key with `?` may be',
    'left out; no other may be missing, and none that is not named here is taken or sent. A page names its build with every call, and must',
    `do so where it writes: \`${buildHeader}: ${build}\`. One that is too old for an answer is told to load again; what it has written and`,
    'logged is taken. Every answer to somebody who is signed in names in `x-library` the exercises that it was made with.\n',
    `Lists that may grow have pages of at most ${pageSize} lines: \`next\` is what the next call says as \`after\`, or null at the end.\n`,
    '## Problems\n',
    'A fault is answered as problem details (RFC 9457): `type`, `title`, `status`, `detail`, `errors` (a list of `path` and `message`), and a',
    '`code` to act upon. Any route may answer the first of these; the others are named with their routes.\n',
    '| code | status | title |\n| --- | --- | --- |',
    ...[
      ...anywhere,
      ...(Object.keys(problems) as ProblemCode[]).filter((one) => !anywhere.includes(one)),
    ].map((code) => `| \`${code}\` | ${problems[code].status} | ${problems[code].title} |`),
    '\n## Routes\n',
    ...routes,
    '## Shapes\n',
    ...shapes,
  ].join('\n')
}

function routeOf(one: Contract, named: Map<string, Outline>): string {
  const { method, path, says, who, query, body, answer, problems: own } = one
  const lines = [
    `### ${method.toUpperCase()} ${path}\n`,
    `${says} For ${who === 'anyone' ? 'anyone' : who.join(' and ')}.\n`,
  ]
  if (query) lines.push(`Query: ${fieldsOf(query)}.\n`)
  if (body) lines.push(`Body: ${fieldsOf(body)}.\n`)
  lines.push(
    answer
      ? `Answer:\n\n\`\`\`\n${sayOutline(outlineOf(answer), named, '')}\n\`\`\`\n`
      : 'Answer: nothing (204).\n',
  )
  if (own.length) lines.push(`Problems of its own: ${own.map((code) => `\`${code}\``).join(', ')}.\n`)
  return lines.join('\n')
}

const fieldsOf = (schema: AnySchema): string =>
  Object.entries((schema as ObjectSchema<object>).fields)
    .map(([key, field]) => `\`${key}${(field as AnySchema).spec.optional ? '?' : ''}\``)
    .join(', ')

function sayOutline(outline: Outline, named: Map<string, Outline>, indent: string, isWhole = false): string {
  if (typeof outline === 'string') return outline
  if ('listOf' in outline) return `list of ${sayOutline(outline.listOf, named, indent)}`
  if ('byKey' in outline) return `by id: ${sayOutline(outline.byKey, named, indent)}`
  if ('oneOf' in outline) return outline.oneOf.map((one) => sayOutline(one, named, indent)).join(' or ')
  if (outline.name && !isWhole) {
    named.set(outline.name, outline)
    return outline.name
  }
  const keys = Object.entries(outline.keys).map(
    ([key, { outline: own, isLeft }]) =>
      `${indent}  ${key}${isLeft ? '?' : ''}: ${sayOutline(own, named, `${indent}  `)}`,
  )
  return `{\n${keys.join('\n')}\n${indent}}`
}

// npm run docs: writes what is generated from the engine's registries. A test fails where it is behind.
import { factNames, factOf } from '@young-oak/core/facts'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { changeOf } from '@young-oak/core/adjustments'
import { goalExamples, goalKeys, goalOf, goalShapes, type GoalKey } from '@young-oak/core/goals'
import { exercises, type Exercise } from '@young-oak/core/library'
import { sourceOf } from '@young-oak/core/loads'
import { formulaOf, percentFor, repTables, repTableTitle } from '@young-oak/core/maxes'
import {
  enrolmentShape,
  memberShape,
  publicationShape,
  sessionLogShape,
  setLogShape,
  shownShape,
} from '@young-oak/core/member'
import { deloadOf, type DeloadKind } from '@young-oak/core/deloads'
import { ruleOf, type RuleKind } from '@young-oak/core/progressions'
import { triggerOf } from '@young-oak/core/triggers'
import {
  adjustmentShape,
  headShape,
  sectionShape,
  phaseRuleShape,
  phaseShape,
  progressionShape,
  sessionShape,
  setPrescriptionShape,
  slotShape,
  slotStageShape,
  stageShape,
  trackShape,
  untilShape,
  weeksField,
  whereShape,
} from '@young-oak/core/template'
import { formatNumber } from '@young-oak/core/units'
import { warmUpOf } from '@young-oak/core/warmups'
import { advisor, beginnings, deloadWeeks, progressionRules, shorthand } from './docsTables.ts'
import { http } from './docsHttp.ts'
import { withKeyTables } from './docsKeys.ts'
import { jsonSchema } from './jsonSchema.ts'

type Json = Record<string, unknown>
const draft = 'https://json-schema.org/draft/2020-12/schema'

/** Every generated file by its path from the root. */
export function generated(): Record<string, string> {
  return {
    'docs/schemas/template-2.schema.json': asFile(templateSchema()),
    'docs/schemas/member-2.schema.json': asFile(memberSchema()),
    'docs/reference.md': reference(),
    'docs/progression-rules.md': progressionRules(ruleUnit),
    'docs/deloads.md': deloadWeeks(recipeUnit),
    'docs/advisor.md': advisor(),
    'docs/shorthand.md': shorthand(),
    'docs/beginnings.md': beginnings(),
    'docs/http.md': http(),
    'docs/template-format.md': filled('docs/template-format.md'),
    'docs/member-format.md': filled('docs/member-format.md'),
  }
}

function templateSchema(): Json {
  const load = {
    oneOf: Object.entries(sourceOf).map(([of, { params, title }]) =>
      tagged('of', of, jsonSchema(params), title),
    ),
  }
  const trigger = (more?: Json): Json => ({
    oneOf: Object.entries(triggerOf).map(([kind, { params, title }]) =>
      tagged('trigger', kind, jsonSchema(params), title, more),
    ),
  })
  const stage = {
    oneOf: Object.entries(ruleOf).map(([rule, { params, title }]) => ({
      title,
      ...jsonSchema(stageShape, { rule: { const: rule }, params: jsonSchema(params), until: trigger() }),
    })),
  }
  const inPhase = {
    oneOf: Object.entries(ruleOf).map(([rule, { params, title }]) => ({
      title,
      ...jsonSchema(phaseRuleShape, { rule: { const: rule }, params: jsonSchema(params) }),
    })),
  }
  const changes = { type: 'array', items: adjustmentSchema() }
  const weeks = {
    oneOf: [
      jsonSchema(weeksField()),
      jsonSchema(untilShape, { until: trigger({ progression: { type: 'string' } }) }),
    ],
  }
  const goal = {
    oneOf: (Object.keys(goalOf) as GoalKey[]).map((key) => ({
      title: goalOf[key].title,
      ...jsonSchema(goalShapes[key]),
    })),
  }
  const typed = { title: 'Sets as they are typed in the sheet', type: 'string', minLength: 1 }
  const line = { oneOf: [jsonSchema(setPrescriptionShape, { load, goal }), typed] }
  const someRows = list({ oneOf: [list(line), typed] })
  const rows = { type: 'object', additionalProperties: someRows }
  const warmUp = {
    oneOf: Object.entries(warmUpOf).map(([kind, { params, title }]) =>
      tagged('kind', kind, jsonSchema(params), title),
    ),
  }
  const whole = jsonSchema(headShape, {
    warmUp,
    phases: list(jsonSchema(phaseShape, { deloads: changes, weeks })),
    sessions: byId(jsonSchema(sessionShape, { sections: list(jsonSchema(sectionShape)) })),
    slots: byId(
      jsonSchema(slotShape, {
        rows,
        inStages: list(jsonSchema(slotStageShape, { rows: someRows })),
        warmUp: { oneOf: [...warmUp.oneOf, { const: 'none' }] },
      }),
    ),
    progressions: byId(jsonSchema(progressionShape, { stages: list(stage), inPhases: list(inPhase) })),
    tracks: byId(jsonSchema(trackShape, { changes })),
  })
  return { $schema: draft, title: 'Young Oak template, format 2', ...whole }
}

const changeSchema = (): Json => ({
  oneOf: Object.entries(changeOf).map(([kind, { params, title }]) =>
    tagged('kind', kind, jsonSchema(params), title),
  ),
})

const adjustmentSchema = (): Json =>
  jsonSchema(adjustmentShape, { do: changeSchema(), where: jsonSchema(whereShape) })

function memberSchema(): Json {
  const facts = {
    type: 'array',
    items: {
      oneOf: factNames.map((kind) => ({
        title: kind,
        ...jsonSchema(factOf[kind].shape, {
          kind: { const: kind },
          changes: list(changeSchema()),
          ...(kind === 'adjust' && { adjustment: adjustmentSchema() }),
        }),
      })),
    },
  }
  const log = jsonSchema(sessionLogShape, {
    sets: { type: 'array', items: jsonSchema(setLogShape) },
    shown: jsonSchema(shownShape),
  })
  return {
    $schema: draft,
    title: 'Young Oak member, format 2',
    ...jsonSchema(memberShape, {
      enrolments: list(jsonSchema(enrolmentShape)),
      publications: list(jsonSchema(publicationShape)),
      facts,
      logs: { type: 'array', items: log },
    }),
  }
}

const list = (items: Json): Json => ({ type: 'array', minItems: 1, items })
const byId = (value: Json): Json => ({ type: 'object', additionalProperties: value })

function tagged(key: string, kind: string, params: Json, title: string, more: Json = {}): Json {
  const { properties = {}, required = [] } = params as { properties?: Json; required?: string[] }
  return {
    title,
    type: 'object',
    properties: { [key]: { const: kind }, ...properties, ...more },
    required: [key, ...required, ...Object.keys(more)],
    additionalProperties: false,
  }
}

function reference(): string {
  const lines = [
    '# Reference',
    '',
    'Generated by `npm run docs` from the engine: every load, goal, trigger, change, warm-up, formula and exercise that a template may name. Each kind is one\nfile in its folder, with examples that tests run.',
    '',
    '## What a load is based on (`load.of`)',
    ...Object.entries(sourceOf).flatMap(([of, { title, params, examples }]) =>
      unit(of, title, jsonSchema(params), examples),
    ),
    '## What each set is to reach (`goal`)',
    ...goalKeys.flatMap((key) => [
      ...unit(key, goalOf[key].title, jsonSchema(goalShapes[key]), goalExamples[key]),
      ...goalExamples[key].map(({ goal, cell }) => `- \`${JSON.stringify(goal)}\` is typed as \`${cell}\``),
      '',
    ]),
    'Progression rules are in [progression-rules.md](progression-rules.md), deloads in [deloads.md](deloads.md).',
    '',
    '## Triggers (`until.trigger`)',
    ...Object.entries(triggerOf).flatMap(([kind, { title, params, examples }]) =>
      unit(kind, title, jsonSchema(params), examples),
    ),
    '## Changes (`do.kind`)',
    ...Object.entries(changeOf).flatMap(([kind, { title, params, examples }]) =>
      unit(kind, title, jsonSchema(params), examples),
    ),
    '## Warm-ups (`warmUp.kind`)',
    ...Object.entries(warmUpOf).flatMap(([kind, { title, params, examples }]) => [
      ...unit(kind, title, jsonSchema(params), examples),
      ...examples.map(
        ({ params: given, work, want }) =>
          `- \`${JSON.stringify(given)}\` before ${work} kg asks ${want.map(([load, reps]) => `${load} × ${reps}`).join(', ')}`,
      ),
      '',
    ]),
    '## Formulas for a one-rep max (`formula`)',
    ...Object.entries(formulaOf).flatMap(([kind, { title, source, domain, examples }]) => [
      '',
      `### \`${kind}\``,
      '',
      `${title}. ${domain}`,
      '',
      source,
      '',
      ...examples.map(({ say }) => `- ${say}`),
    ]),
    '',
    '## Percentages for reps (`maxes.table`)',
    '',
    'For a first fresh set. Published tables differ by a few percent; the one that a template uses is named with every load.',
    '',
    `| reps | ${repTables.map(repTableTitle).join(' | ')} |`,
    `|${'---|'.repeat(repTables.length + 1)}`,
    ...[...Array.from({ length: 15 }, (_, i) => i + 1), 20, 30, 40].map(
      (reps) =>
        `| ${reps} | ${repTables.map((table) => formatNumber(percentFor(table, reps))).join(' | ')} |`,
    ),
    '',
    'Rows 13 and 14 of the handbook table lie on the line between its printed rows 12 and 15. Above 15 reps every table goes on from its own row 15 as the Epley formula does: times 45, divided by 30 + reps. It ends at 40 reps; more are read as 40.',
    '',
    '## Exercises (`exercise`)',
    '',
    'Muscles, reps, recovery and first maxes are common practice without a source. A set counts 1 for a direct muscle, 0.5 for an indirect one.',
    '',
    '| id | name | pattern | direct, main first | indirect | loaded with | its load is | reps | recovery | spine | first max |',
    '|---|---|---|---|---|---|---|---|---|---|---|',
    ...Object.entries<Exercise>(exercises).map(
      ([
        id,
        { name, pattern, direct, indirect, tool, reads, reps, cost, spine, parent, perSide: isPerSide },
      ]) =>
        `| \`${id}\` | ${name} | ${pattern} | ${direct.join(', ')} | ${indirect.join(', ')} | ${tool} | ${reads}${isPerSide ? ', each side' : ''} | ${reps.join(' to ')} | ${cost} | ${spine} | ${parent ? `${parent.percent}% of ${exercises[parent.exercise as keyof typeof exercises].name.toLowerCase()}` : ''} |`,
    ),
    '',
  ]
  return lines.join('\n')
}

function ruleUnit(kind: RuleKind): string[] {
  const { title, params, examples, roles, quiet = [], from, clock, writes } = ruleOf[kind]
  return [
    ...unit(kind, title, jsonSchema(params), examples),
    `Writes ${writes.join(', ')}. Roles: ${roles.join(', ')}${quiet.length ? ` (${quiet.join(', ')} moves nothing)` : ''}. Moves by ${clock}, from what was ${from}.`,
    '',
  ]
}

const recipeUnit = (kind: DeloadKind): string[] =>
  unit(kind, deloadOf[kind].title, jsonSchema(deloadOf[kind].params), deloadOf[kind].examples)

function unit(kind: string, title: string, schema: Json, examples: { say: string }[]): string[] {
  const { properties = {}, required = [] } = schema as {
    properties?: Record<string, { description?: string }>
    required?: string[]
  }
  const params = Object.entries(properties).map(
    ([name, { description = '' }]) =>
      `- \`${name}\`${required.includes(name) ? '' : ' (may be left out)'}: ${description}`,
  )
  return [
    '',
    `### \`${kind}\``,
    '',
    `${title}.`,
    '',
    ...params,
    ...(params.length ? [''] : []),
    ...examples.map(({ say }) => `- For example: ${say}.`),
    '',
  ]
}

/** A document that is written by hand but for its key tables. */
const filled = (path: string): string =>
  withKeyTables(readFileSync(new URL(`../${path}`, import.meta.url), 'utf8'))

const asFile = (value: Json): string => `${JSON.stringify(value, null, 2)}\n`

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  for (const [path, text] of Object.entries(generated())) {
    const file = fileURLToPath(new URL(`../${path}`, import.meta.url))
    mkdirSync(dirname(file), { recursive: true })
    writeFileSync(file, text)
    process.stdout.write(`${path}\n`)
  }
}

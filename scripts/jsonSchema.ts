import type { Schema, SchemaDescription, SchemaInnerTypeDescription, SchemaObjectDescription } from 'yup'

type Json = Record<string, unknown>
type Description = SchemaDescription & Partial<SchemaObjectDescription> & Partial<SchemaInnerTypeDescription>

/** A Yup schema of ours as JSON Schema (2020-12), closed against unknown keys; `pieces` stands in where a piece is read later. */
export function jsonSchema(schema: Schema, pieces: Record<string, Json> = {}): Json {
  return convert(schema.describe() as Description, pieces)
}

function convert(description: Description, pieces: Record<string, Json>, key = ''): Json {
  const { expected, json } = (description.meta ?? {}) as { expected?: string; json?: Json }
  const about = expected ? { description: expected } : {}
  if (description.nullable) {
    const { description: said, ...rest } = convert({ ...description, nullable: false }, pieces, key)
    return { ...(said !== undefined && { description: said }), anyOf: [rest, { type: 'null' }] }
  }
  if (pieces[key]) return { ...about, ...pieces[key] }
  if (json) return { ...about, ...json }
  switch (description.type) {
    case 'object':
      return { ...about, ...objectOf(description, pieces) }
    case 'array':
      return {
        ...about,
        type: 'array',
        ...limits(description, 'minItems', 'maxItems'),
        ...(description.innerType && {
          items: convert(description.innerType as Description, pieces, `${key}[]`),
        }),
      }
    case 'number':
      return {
        ...about,
        type: hasTest(description, 'integer') ? 'integer' : 'number',
        ...limits(description, 'minimum', 'maximum'),
      }
    case 'string':
      return {
        ...about,
        type: 'string',
        ...choices(description),
        ...limits(description, 'minLength', 'maxLength'),
      }
    case 'boolean':
      return { ...about, type: 'boolean', ...choices(description) }
    default:
      return about
  }
}

function objectOf({ fields = {} }: Description, pieces: Record<string, Json>): Json {
  const entries = Object.entries(fields as Record<string, Description>)
  const required = entries.filter(([, field]) => !field.optional).map(([name]) => name)
  return {
    type: 'object',
    properties: Object.fromEntries(entries.map(([name, field]) => [name, convert(field, pieces, name)])),
    ...(required.length && { required }),
    additionalProperties: false,
  }
}

function choices({ oneOf, tests }: Description): Json {
  const pattern = tests.find(({ name }) => name === 'matches')?.params?.regex
  return { ...(oneOf.length && { enum: oneOf }), ...(pattern ? { pattern: (pattern as RegExp).source } : {}) }
}

function limits({ tests }: Description, least: string, most: string): Json {
  const made: Json = {}
  for (const { name, params = {} } of tests) {
    if (name === 'min')
      Object.assign(made, 'more' in params ? { exclusiveMinimum: params.more } : { [least]: params.min })
    if (name === 'max') made[most] = params.max
  }
  return made
}

const hasTest = ({ tests }: Description, wanted: string): boolean => tests.some(({ name }) => name === wanted)

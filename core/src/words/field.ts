/** What a parameter is called beside its field; the unit is null where it is chosen or written in words. */
export type FieldWords = {
  label: string
  unit: string | null
  hint: string
  choices?: Record<string, string>
  /** One of several ways to state the same thing, of which one is taken: what is stated, and which way this is. */
  way?: { of: string; is: string }
  /** The choice without which the parameter does nothing. */
  when?: { field: string; is: string }
  /** Seldom stated: asked for before it is shown. */
  isRare?: true
}

/**
 * The words of a kind's parameters, by path: "step.kg"; "schemes.#.sets" is of every entry of a list, whose number stands for the #,
 * and "schemes" names one entry.
 */
export type Fields = Record<string, FieldWords>

/** What the field of a path is called; undefined where its kind has no words for it. */
export function fieldWords(fields: Fields, path: string): FieldWords | undefined {
  const [, index] = /\.(\d+)(?:\.|$)/.exec(path) ?? []
  const words = fields[path.replace(/\.\d+/g, '.#')]
  return words && index !== undefined
    ? { ...words, label: words.label.replace('#', String(Number(index) + 1)) }
    : words
}

import type { Library } from '../library/index.ts'
import { at, Checker, fixForName, type Issue } from '../parsing/index.ts'
import { equipmentShape, type EquipmentBody } from './equipment.ts'
import { factNames, factOf, givenKinds, type Fact, type FactName } from './registry.ts'

/** A fact of a file, written out: an id by its place where it has none, and the day from which it acts. */
export function readFact(checker: Checker, value: unknown, path: string, index: number): Fact | undefined {
  const kind = (value as { kind?: unknown } | null)?.kind as FactName
  if (!factNames.includes(kind)) {
    checker.add(at(path, 'kind'), `one of ${factNames.join(', ')}`, kind, fixForName(kind, factNames))
    return undefined
  }
  const { shape, read } = factOf[kind]
  const fact = checker.check(shape, value, path) as Fact | undefined
  if (!fact) return undefined
  if (fact.actsFrom && fact.actsFrom < fact.date)
    checker.add(at(path, 'actsFrom'), `a day not before its date, ${fact.date}`, fact.actsFrom)
  const own: Fact = {
    ...fact,
    id: fact.id ?? `fact-${String(index + 1).padStart(4, '0')}`,
    rev: fact.rev ?? 1,
    actsFrom: fact.actsFrom ?? fact.date,
  }
  return read ? (read(checker, own, path) as Fact) : own
}

/** A fact as it is entered: of a kind that is given one by one, dated by whoever stores it. */
export function readGivenFact(
  library: Library,
  value: unknown,
): { fact: Fact; issues?: undefined } | { fact?: undefined; issues: Issue[] } {
  const checker = new Checker(library)
  const kind = (value as { kind?: unknown } | null)?.kind
  if (!givenKinds.includes(kind as FactName)) {
    checker.add('kind', `one of ${givenKinds.join(', ')}`, kind)
    return { issues: checker.issues }
  }
  const fact = readFact(checker, value, '', 0)
  return fact && !checker.issues.length ? { fact } : { issues: checker.issues }
}

/** What a place has, from a form or a file. */
export function readEquipment(
  library: Library,
  value: unknown,
): { equipment: EquipmentBody; issues?: undefined } | { equipment?: undefined; issues: Issue[] } {
  const checker = new Checker(library)
  const equipment = checker.check(equipmentShape, value, '') as EquipmentBody | undefined
  return equipment && !checker.issues.length ? { equipment } : { issues: checker.issues }
}

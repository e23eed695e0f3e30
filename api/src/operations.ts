/** The format that operations are written in today; a phone says it of all that it sends, one of the first builds says nothing. */
export const operationFormat = 3

const upgrades: Record<number, (operation: unknown) => unknown> = { 1: withLocation, 2: withPosition }

/** What a phone of an earlier build did, in today's format. It reads what nobody has checked, and a phone loads nothing for it. */
export function upgradeOperation(operation: unknown, format: number): unknown {
  const upgrade = Object.hasOwn(upgrades, format) ? upgrades[format] : undefined
  return upgrade ? upgradeOperation(upgrade(operation), format + 1) : operation
}

/** Where a session was trained was its place. */
function withLocation(operation: unknown): unknown {
  if (typeof operation !== 'object' || operation === null || !('place' in operation)) return operation
  const { place, ...rest } = operation
  return { ...rest, location: place }
}

/** A start named a position alone, and the server worked out what was shown. */
function withPosition(operation: unknown): unknown {
  if (typeof operation !== 'object' || operation === null || !('position' in operation)) return operation
  return 'kind' in operation && operation.kind === 'start'
    ? { ...operation, kind: 'startByPosition' }
    : operation
}

import type { Plan } from '../plan/index.ts'

/** The places of sessions that are not over, with their weeks. */
export const toCome = ({ weeks }: Plan) =>
  weeks.flatMap(({ week, phase, places }) =>
    places
      .filter(({ status }) => status === 'open' || status === 'next' || status === 'ahead')
      .map((place) => ({ week, phase, place })),
  )

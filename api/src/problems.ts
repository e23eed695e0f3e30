/** Every fault that the server tells a reader of, by its code, which a page may act on. The words of a problem are for people. */
export const problems = {
  signInFirst: { status: 401, title: 'Sign in' },
  wrongPassword: { status: 401, title: 'Not signed in' },
  notAllowed: { status: 403, title: 'Not allowed' },
  noGym: { status: 403, title: 'No gym' },
  notFound: { status: 404, title: 'Not found' },
  notReadable: { status: 400, title: 'Not readable' },
  tooLarge: { status: 413, title: 'Too large' },
  notUnderstood: { status: 415, title: 'Not understood' },
  notAsExpected: { status: 422, title: 'Something is not as expected' },
  noSuchExercise: { status: 422, title: 'No such exercise' },
  doesNotFit: { status: 422, title: 'The exercise does not fit' },
  tooMany: { status: 422, title: 'Too many' },
  notPossible: { status: 422, title: 'Not possible' },
  moreHelpThanBody: { status: 422, title: 'More assistance than body weight' },
  inTheFuture: { status: 422, title: 'In the future' },
  noSuchTrack: { status: 422, title: 'No such track' },
  startsTooEarly: { status: 422, title: 'Starts too early' },
  templateFaults: { status: 422, title: 'The template has faults' },
  pageTooOld: { status: 409, title: 'This page is too old' },
  tooManyAttempts: { status: 429, title: 'Too many attempts' },
  ourFault: { status: 500, title: 'Something went wrong' },
  busy: { status: 503, title: 'Busy' },
  databaseAway: { status: 503, title: 'The database cannot be reached' },
} as const
export type ProblemCode = keyof typeof problems

/** What any route may answer. Those that are for somebody ask for a seat, and those with a body read it. */
export const anywhere: readonly ProblemCode[] = [
  'signInFirst',
  'notAllowed',
  'notFound',
  'notReadable',
  'tooLarge',
  'notUnderstood',
  'notAsExpected',
  'noSuchExercise',
  'pageTooOld',
  'ourFault',
  'busy',
  'databaseAway',
]

/** Imports go one way: core <- api <- server, and core, api <- web. Types count like everything else. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(core|api|server|web|demo|e2e|scripts)/', pathNot: `^(${[from, ...allowed].join('|')})/` },
})

/** A folder imports from those before it alone. */
const ladder = (name, inside, rungs) =>
  rungs.slice(0, -1).map((rung, i) => ({
    name: `${name}-${rung}`,
    severity: 'error',
    from: { path: `^${inside}/${rung}/`, pathNot: '[.]test[.]ts$' },
    to: { path: `^${inside}/(${rungs.slice(i + 1).join('|')})/` },
  }))

const core = [
  'units',
  'words',
  'library',
  'maxes',
  'parsing',

  'goals',
  'loads',
  'triggers',
  'warmups',
  'adjustments',
  'progressions',
  'deloads',
  'template',
  'member',
  'facts',
  'calendar',
  'evidence',
  'plan',
  'views',
  'checks',
  'impact',
  'dryRun',
  'advice',
  'trends',
  'editing',
  'starters',
  'explain',
  'testing',
]
const plan = ['compile', 'state', 'progress', 'prescribe', 'replay', 'ahead']

module.exports = {
  forbidden: [
    only('core-stands-alone', 'core', []),
    only('api-reads-core', 'api', ['core']),
    only('server-reads-api-and-core', 'server', ['api', 'core']),
    only('web-reads-api-and-core', 'web', ['api', 'core']),
    only('demo-reads-server-and-core', 'demo', ['server', 'api', 'core']),
    ...ladder('core-ladder', 'core/src', core),
    ...ladder('plan-ladder', 'core/src/plan', plan),
    {
      name: 'core-has-no-other-folder',
      severity: 'error',
      from: {},
      to: { path: '^core/src/[^/]+/', pathNot: `^core/src/(${core.join('|')})/` },
    },
    {
      name: 'core-doors',
      comment: 'What another folder needs of a family, it has from the family’s index.ts.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: '[.]test[.]ts$|^core/src/testing/' },
      to: { path: '^core/src/[^/]+/', pathNot: '^core/src/($1/|[^/]+/index[.]ts$)' },
    },
    {
      name: 'page-reads-types-of-contracts',
      comment: 'Schemas of answers are no part of what a phone loads.',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^api/src/contracts/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-has-no-io',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '[.]test[.]ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-uses-only-yup-statistics-and-levenshtein',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '[.]test[.]ts$|^core/src/testing/' },
      to: { path: 'node_modules/', pathNot: 'node_modules/(yup|simple-statistics|fastest-levenshtein)/' },
    },
    {
      name: 'levenshtein-for-near-names',
      comment: 'How near two names are is all that is asked of fastest-levenshtein.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '^core/src/parsing/nearest[.]ts$' },
      to: { path: 'node_modules/fastest-levenshtein/' },
    },
    {
      name: 'statistics-for-one-line',
      comment: 'One line through points is all that is asked of simple-statistics.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '^core/src/trends/|[.]test[.]ts$' },
      to: { path: 'node_modules/simple-statistics/' },
    },
    {
      name: 'only-database-opens-connections',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '^server/src/(database|testing)/' },
      to: { path: 'node_modules/pg/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(core|api|server|web|demo|e2e|scripts)/.*dist/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
}

/** Imports go one way: core <- api <- server, and core, api <- web. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/` },
  to: { path: '^(core|api|server|web|demo|e2e|scripts)/', pathNot: `^(${[from, ...allowed].join('|')})/` },
})
module.exports = {
  forbidden: [
    only('core-stands-alone', 'core', []),
    only('api-reads-core', 'api', ['core']),
    only('server-reads-api-and-core', 'server', ['api', 'core']),
    only('web-reads-api-and-core', 'web', ['api', 'core']),
    only('demo-reads-server-and-core', 'demo', ['server', 'api', 'core']),
    {
      name: 'core-has-no-io',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '[.]test[.]ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-uses-only-yup',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '[.]test[.]ts$' },
      to: { path: 'node_modules/', pathNot: 'node_modules/yup/' },
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
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
}

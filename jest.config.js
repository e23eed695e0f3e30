const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      target: 'es2023',
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  },
]
const project = (name) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/**/*.test.ts'],
  transform: { '^.+\\.tsx?$': swc },
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testEnvironment: 'node',
})

export default { projects: ['core', 'api', 'server', 'web', 'demo', 'scripts'].map(project) }

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

const withPostgres = {
  globalSetup: '<rootDir>/../scripts/jest-setup.mjs',
  globalTeardown: '<rootDir>/../scripts/jest-teardown.mjs',
}

export default {
  // A slow or busy machine is no fault.
  testTimeout: 120_000,
  projects: [
    project('core'),
    project('web'),
    project('demo'),
    project('scripts'),
    { ...project('server'), ...withPostgres },
  ],
}

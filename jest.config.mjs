const node = (displayName, folders) => ({
  displayName,
  testEnvironment: 'node',
  rootDir: '.',
  testMatch: folders.map((f) => `<rootDir>/${f}/test/**/*.test.ts`),
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '\\.tsx?$': '<rootDir>/scripts/jest-esbuild.cjs' },
})

export default {
  testTimeout: 150000,
  projects: [
    node('core', [
      'packages/core',
      'packages/contracts',
      'packages/papers',
      'packages/protocols',
      'packages/standins',
      'packages/drivers',
      'packages/demo',
      'apps/cli',
    ]),
    { ...node('server', ['apps/server']), setupFilesAfterEnv: ['<rootDir>/scripts/jest-again.cjs'] },
  ],
}

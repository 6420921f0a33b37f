const esm = ['@noble', 'canonicalize', 'uuid', '@rauta', 'temporal-polyfill', 'temporal-utils', 'temporal-spec', '@electric-sql', 'jsbi', 'fast-check', 'pure-rand', 'ical.js']
const node = (displayName, folders) => ({
  displayName, testEnvironment: 'node', rootDir: '.',
  testMatch: folders.map((f) => `<rootDir>/${f}/test/**/*.test.ts`),
  transform: { '\\.m?[jt]sx?$': '<rootDir>/scripts/jest-esbuild.cjs' },
  transformIgnorePatterns: [`/node_modules/(?!(${esm.join('|')})/)`],
  moduleNameMapper: { '^canonicalize$': '<rootDir>/node_modules/canonicalize/lib/canonicalize.js' },
})
export default {
  testTimeout: 60000,
  projects: [
    node('core', ['packages/core', 'packages/contracts', 'packages/protocols', 'packages/standins', 'packages/drivers', 'apps/cli']),
    node('server', ['apps/server']),
  ],
}

const ours = (names) => `^(packages|apps)/(${names.join('|')})/`
/** May import, besides itself: only these of ours. */
const allowed = {
  core: [],
  papers: ['core'],
  contracts: ['core'],
  protocols: ['core'],
  drivers: ['protocols', 'core', 'contracts'],
  standins: ['protocols', 'core', 'contracts'],
  demo: ['contracts'],
  server: ['drivers', 'protocols', 'contracts', 'papers', 'core'],
  web: ['contracts', 'core'],
  cli: ['contracts', 'papers', 'core'],
}
const every = Object.keys(allowed)
module.exports = {
  forbidden: [
    ...every.map((name) => ({
      name: `borders-of-${name}`,
      severity: 'error',
      comment: `${name} may import only ${allowed[name].join(', ') || 'nothing of ours'}`,
      from: { path: `^(packages|apps)/${name}/src/` },
      to: { path: ours(every.filter((n) => n !== name && !allowed[name].includes(n))) },
    })),
    {
      name: 'core-has-no-io',
      severity: 'error',
      from: { path: '^packages/core/src/' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'no-circles', severity: 'error', from: { path: '^(packages|apps)/' }, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '(dist|\\.expo)/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
}

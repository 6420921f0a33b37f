const { transformSync } = require('esbuild')

/** TypeScript to what Node.js runs, as ES modules. */
module.exports = {
  process(source, file) {
    const { code } = transformSync(source, {
      loader: file.endsWith('x') ? 'tsx' : 'ts',
      format: 'esm',
      target: 'node20',
      sourcemap: 'inline',
      sourcefile: file,
    })
    return { code }
  },
}

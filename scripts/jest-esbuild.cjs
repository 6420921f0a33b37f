const { transformSync } = require('esbuild')

/** TypeScript and ES modules to what Jest runs; `import.meta.url` becomes the file's own URL. */
module.exports = {
  process(source, file) {
    const { code } = transformSync(source, { loader: file.endsWith('x') ? 'tsx' : /\.[cm]?ts$/.test(file) ? 'ts' : 'js', format: 'cjs', target: 'node20', sourcemap: 'inline', sourcefile: file, define: { 'import.meta.url': '__importMetaUrl' }, banner: "const __importMetaUrl = require('url').pathToFileURL(__filename).href;" })
    return { code }
  },
}

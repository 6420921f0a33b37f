/** The command line, from one file made anew when a source of it is newer: it starts in a fraction of a second. */
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { install, needNode, root } from './ready.mjs'

const folder = join(root, 'apps/cli/dist')
const file = join(folder, 'main.mjs')
const sources = [
  'apps/cli/src',
  'packages/core/src',
  'packages/contracts/src',
  'packages/papers/src',
  'package-lock.json',
]

/** When anything under a path was changed last, ms. */
function newest(path) {
  const of = statSync(path)
  if (!of.isDirectory()) return of.mtimeMs
  return readdirSync(path, { withFileTypes: true }).reduce(
    (last, e) => Math.max(last, newest(join(path, e.name))),
    of.mtimeMs,
  )
}

async function make() {
  const { build } = await import('esbuild')
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { recursive: true })
  await build({
    entryPoints: [join(root, 'apps/cli/src/main.ts')],
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'error',
    // Some packages inside still ask for others the old way.
    banner: {
      js: "import { createRequire as rautaRequire } from 'node:module';const require = rautaRequire(import.meta.url);",
    },
  })
}

needNode()
install()
if (!existsSync(file) || statSync(file).mtimeMs < Math.max(...sources.map((s) => newest(join(root, s))))) await make()
await import(pathToFileURL(file).href)

import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..')

/** Too old a Node.js fails in strange ways later; say it first. */
export function needNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Rauta needs Node.js 20.19 or newer; this is ${process.versions.node}.`)
    process.exit(1)
  }
}

const hash = (text) => createHash('sha256').update(text).digest('hex')

/** Installs what the lock file names, once for each lock file. */
export function install() {
  const wanted = hash(readFileSync(join(root, 'package-lock.json')))
  const stamp = join(root, 'node_modules', '.rauta-installed')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  // On standard error: standard output belongs to the answer of the command that needed them.
  console.error('Installing packages ...')
  execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: ['ignore', 2, 2] })
  writeFileSync(stamp, wanted)
}

function filesUnder(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.name === 'node_modules' || e.name === 'dist' || e.name === '.expo'
      ? []
      : e.isDirectory()
        ? filesUnder(join(folder, e.name))
        : [join(folder, e.name)],
  )
}

/** Exports the web application where a source of it is newer than the last export. */
export function buildWeb() {
  const sources = ['apps/web', 'packages/core/src', 'packages/contracts/src']
    .flatMap((f) => filesUnder(join(root, f)))
    .sort()
  const wanted = hash(
    sources.map((f) => `${f.slice(root.length)} ${hash(readFileSync(f))}`).join('\n') +
      hash(readFileSync(join(root, 'package-lock.json'))) +
      hash(readFileSync(join(root, 'scripts/service-worker.mjs'))),
  )
  const dist = join(root, 'apps/web/dist')
  const stamp = join(dist, '.built')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  console.log('Building the web application (one or two minutes the first time) ...')
  execFileSync(process.execPath, [join(root, 'node_modules/expo/bin/cli'), 'export', '--platform', 'web'], {
    cwd: join(root, 'apps/web'),
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
  })
  if (!existsSync(dist) || !statSync(dist).isDirectory()) throw new Error('The export made nothing.')
  execFileSync(process.execPath, [join(root, 'scripts/service-worker.mjs')], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  writeFileSync(stamp, wanted)
}

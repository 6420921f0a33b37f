import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const args = process.argv.slice(2)
const bytes = (file: string) => readFileSync(file === '-' ? 0 : file)
// The store belongs to the server: its own program speaks to the running one, or opens the store where none runs.
if (args[0] === 'backup' || args[0] === 'restore') {
  const keep = fileURLToPath(new URL('../../server/src/keep.ts', import.meta.url))
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', keep, ...args], { stdio: 'inherit' })
  process.exit(status ?? 1)
}
const [{ doors }, { run }] = await Promise.all([import('./doors'), import('./run')])
const { code, out } =
  args[0] === 'doors' && args[1]
    ? await doors(args[1], bytes)
    : run(args, (file) => bytes(file).toString('utf8'), bytes)
console.log(out)
// What is piped is written on after this line: ending here would cut a long answer.
process.exitCode = code

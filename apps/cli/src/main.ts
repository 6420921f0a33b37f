import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Outcome } from './outcome'
import { helpAsked } from './help'

const args = process.argv.slice(2)
/** npm stands in the project; a path is meant from where one stands oneself. */
const from = process.env['INIT_CWD'] ?? process.cwd()
const bytes = (file: string) => readFileSync(file === '-' ? 0 : resolve(from, file))

/** What spreadsheets are read with is loaded only for them. */
async function outcome(): Promise<Outcome> {
  if (args[0] === 'doors' && !helpAsked(args)) return (await import('./doors')).doors(args.slice(1), bytes)
  const { run } = await import('./run')
  return run(args, (file) => bytes(file).toString('utf8'), bytes)
}

// The store belongs to the server: its own program speaks to the running one, or opens the store where none runs.
if ((args[0] === 'backup' || args[0] === 'restore') && !helpAsked(args)) {
  const keep = fileURLToPath(new URL('../../server/src/keep.ts', import.meta.url))
  const file = resolve(from, args[1] ?? '')
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', keep, args[0], file, ...args.slice(2)], {
    stdio: 'inherit',
  })
  process.exitCode = status ?? 1
} else {
  const { code, out } = await outcome()
  // What is piped is written on after this line: ending here would cut a long answer.
  ;(code === 2 ? process.stderr : process.stdout).write(`${out}\n`)
  process.exitCode = code
}

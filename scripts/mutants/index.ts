import { spawnSync } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { busMutants } from './bus'
import { heldAgainst } from './heldAgainst'
import { mutants, type Mutant } from './list'
import { behaviourMutants } from './behaviour'
import { codeMutants } from './codes'
import { decidingMutants } from './deciding'
import { diagnosisMutants } from './diagnosis'
import { radioMutants } from './radio'
import { reactionMutants } from './reactions'
import { readerMutants } from './readers'
import { rightMutants } from './rights'
import { peopleMutants } from './people'
import { takingMutants } from './taking'

/**
 * `npm run mutants`: turns named rules round, one at a time, in a copy of the packages, and runs the unit tests that should notice.
 * A mutant that survives is a rule that no test guards; then the exit code is 1. `npm run mutants -- WORD` runs those whose name has the word.
 */
const root = resolve(import.meta.dirname, '../..')
const copy = mkdtempSync(join(tmpdir(), 'rauta-mutants-'))
process.on('exit', () => rmSync(copy, { recursive: true, force: true }))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(130))

/** The packages as they are, with their own links to one another, so that a mutant is seen by all that import it and by nobody else. */
function prepare(): void {
  const skip = /\/(node_modules|dist|\.expo|screenshots)$/
  for (const folder of ['packages', 'apps/server', 'apps/cli', 'scripts'])
    cpSync(join(root, folder), join(copy, folder), { recursive: true, filter: (from) => !skip.test(from) })
  for (const file of ['package.json', 'jest.config.mjs', 'tsconfig.json', 'tsconfig.base.json'])
    cpSync(join(root, file), join(copy, file))
  mkdirSync(join(copy, 'node_modules/@rauta'), { recursive: true })
  for (const entry of readdirSync(join(root, 'node_modules')))
    if (entry !== '@rauta') symlinkSync(join(root, 'node_modules', entry), join(copy, 'node_modules', entry))
  for (const name of readdirSync(join(root, 'node_modules/@rauta'))) {
    const own = [join(copy, 'packages', name), join(copy, 'apps', name)].find((folder) => existsSync(folder))
    if (own) symlinkSync(own, join(copy, 'node_modules/@rauta', name))
  }
}

/** Whether the tests still pass, and how many ran. */
function runTests(pattern: string | undefined, wire: boolean): { passed: boolean; count: number } {
  const out = join(copy, 'result.json')
  rmSync(out, { force: true })
  const args = [
    'node_modules/jest/bin/jest.js',
    `--selectProjects=${wire ? 'server' : 'core'}`,

    '--silent',
    '--maxWorkers=2',
    '--forceExit',
    '--json',
    `--outputFile=${out}`,
  ]
  const run = spawnSync(
    process.execPath,
    ['--experimental-vm-modules', '--no-warnings', ...args, ...(pattern ? [`--testPathPattern=${pattern}`] : [])],
    { cwd: copy, stdio: 'ignore', timeout: 240_000 },
  )
  const count = existsSync(out) ? (JSON.parse(readFileSync(out, 'utf8')) as { numTotalTests: number }).numTotalTests : 0
  return { passed: run.status === 0, count }
}

/** @returns why the mutant could not be made, or whether it was noticed */
function tryMutant({ file, find, put, tests, wire }: Mutant): 'killed' | 'survived' | string {
  const at = join(copy, file)
  const text = readFileSync(at, 'utf8')
  const places = text.split(find).length - 1
  if (places !== 1) return `its line stands ${places} times in ${file}`
  writeFileSync(
    at,
    text.replace(find, () => put),
  )
  const { passed, count } = runTests(tests, wire ?? false)
  writeFileSync(at, text)
  if (count === 0) return 'no test ran'
  return passed ? 'survived' : 'killed'
}

prepare()
const word = process.argv[2]
const chosen = [
  ...mutants,
  ...busMutants,
  ...takingMutants,
  ...peopleMutants,
  ...behaviourMutants,
  ...readerMutants,
  ...rightMutants,
  ...codeMutants,
  ...radioMutants,
  ...decidingMutants,
  ...diagnosisMutants,
  ...reactionMutants,
  ...heldAgainst,
].filter((m) => !word || m.name.includes(word))
for (const [pattern, wire] of new Map(chosen.map((m) => [m.tests, m.wire ?? false]))) {
  const { passed, count } = runTests(pattern, wire)
  if (passed && count > 0) continue
  console.error(
    `Without any mutant ${pattern ?? 'the unit tests'} ${count ? 'fail' : 'find no test'}: mend that first.`,
  )
  process.exit(2)
}
let bad = 0
for (const mutant of chosen) {
  const came = tryMutant(mutant)
  if (came !== 'killed') bad += 1
  console.log(
    `${came === 'killed' ? 'killed  ' : 'SURVIVED'}  ${mutant.name}${came === 'killed' || came === 'survived' ? '' : ` (${came})`}`,
  )
}
console.log(`\n${chosen.length - bad} of ${chosen.length} mutants killed`)
process.exit(bad ? 1 : 0)

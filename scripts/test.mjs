import { execFileSync, spawn } from 'node:child_process'
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWeb, install, needNode, root } from './ready.mjs'

needNode()
install()
buildWeb()
debian('chromium', '/usr/bin/chromium', 'The journeys need Chromium')
debian('ngspice', '/usr/bin/ngspice', 'The supply trees are checked against ngspice')

let passed = 0
let failed = 0
const began = Date.now()

/** Checks that pass or fail as a whole, side by side; each says what it has to say when it ends. */
async function checks(list) {
  await Promise.all(list.map(([name, command, args]) => new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    let out = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => { out += part })
    child.on('close', (status) => {
      console.log(`\n== ${name}\n${out.trim()}`)
      if (status === 0) passed += 1
      else { failed += 1; console.log(`${name} failed`) }
      done()
    })
  })))
}

/** A runner that counts its own tests and writes them as JSON. @param aside its words are held back until it ends, since another runs beside it */
async function counted(name, command, args, env, file, read, aside = false) {
  if (!aside) console.log(`\n== ${name}`)
  rmSync(file, { force: true })
  const child = spawn(command, args, { cwd: root, stdio: aside ? ['ignore', 'pipe', 'pipe'] : 'inherit', env: { ...process.env, ...env } })
  let out = ''
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => { out += part })
  const status = await new Promise((done) => child.on('close', done))
  if (aside) console.log(`\n== ${name}\n${out.trim()}`)
  const [good, bad] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 0]
  passed += good
  failed += bad
  if (status !== 0 && bad === 0) failed += 1
  if (good + bad === 0) { failed += 1; console.log(`${name} ran no test`) }
}

const bin = (name) => join(root, 'node_modules/.bin', name)
await checks([
  ['Lint', bin('eslint'), ['.', '--max-warnings', '0']], ['Types', bin('tsc'), ['-p', 'tsconfig.json']], ['Types of the web application', bin('tsc'), ['-p', 'apps/web/tsconfig.json']],
  ['Borders of the packages', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'packages', 'apps/server/src', 'apps/cli/src', 'apps/web/src']],
])
const web = counted('Unit tests of the web application', bin('jest'), ['-c', 'apps/web/jest.config.cjs', '--maxWorkers=1', '--json', `--outputFile=${join(root, 'test-results-web.json')}`, '--silent'], {}, join(root, 'test-results-web.json'), (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites], true)
const unit = join(root, 'test-results-unit.json')
await counted('Unit tests', bin('jest'), ['--maxWorkers=1', '--json', `--outputFile=${unit}`, '--silent'], { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' }, unit, (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites])
await web
const journeys = join(root, 'test-results-journeys.json')
await counted('Journeys', bin('playwright'), ['test', '-c', 'e2e/playwright.config.ts'], { PLAYWRIGHT_JSON_OUTPUT_NAME: journeys }, journeys, (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected])
for (const file of [unit, journeys, join(root, 'test-results-web.json')]) rmSync(file, { force: true })

console.log(`\n${Math.round((Date.now() - began) / 1000)} s after install and export`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)

/** A package of Debian's, installed where it is missing and we may. */
function debian(name, file, why) {
  if (existsSync(file)) return
  if (process.getuid?.() !== 0) { console.error(`${why}: install Debian’s package ${name}, then run again.`); process.exit(1) }
  console.log(`Installing ${name} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  execFileSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env })
  execFileSync('apt-get', ['install', '-y', '-qq', name], { stdio: 'ignore', env })
}

import { execFileSync, spawn } from 'node:child_process'
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { clearTimeout, setTimeout } from 'node:timers'
import { buildWeb, install, needNode, root } from './ready.mjs'

needNode()
install()
buildWeb()
debian('chromium', '/usr/bin/chromium', 'The journeys need Chromium')
debian('ngspice', '/usr/bin/ngspice', 'The supply trees are checked against ngspice')

let passed = 0
let failed = 0
const began = Date.now()

/** No part may keep the rest from being told: one that runs longer is ended and counted as failed. Minutes. */
const longest = { checks: 8, unit: 20, journeys: 25 }

/** Ends what runs now, each with all that it started; also where somebody stops the whole run. */
const ends = new Set()
let stopped = false
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    // The runner of the journeys ends the servers that it started on this signal alone.
    stopped = true
    for (const end of ends) end('SIGINT')
    if (ends.size === 0) process.exit(130)
    setTimeout(() => process.exit(130), 10_000)
  })

/** Runs a program to its end, or ends it with all that it started. @returns its exit status, or `limit` */
function run(command, args, { env = {}, minutes, aside = false }) {
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      detached: true,
      stdio: aside ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    })
    let out = ''
    let over = false
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (part) => {
        out += part
      })
    const end = (signal) => {
      try {
        process.kill(-child.pid, signal)
      } catch {
        /* it is gone */
      }
    }
    const limit = setTimeout(() => {
      over = true
      end('SIGINT')
      setTimeout(() => end('SIGKILL'), 15_000).unref()
    }, minutes * 60_000)
    ends.add(end)
    child.on('close', (status) => {
      clearTimeout(limit)
      ends.delete(end)
      if (stopped) {
        // Nothing comes after it any more.
        if (ends.size === 0) process.exit(130)
        return
      }
      done({ status: over ? 'limit' : status, out: over ? `${out}\nEnded after ${minutes} minutes.` : out })
    })
  })
}

/** Checks that pass or fail as a whole, side by side; each says what it has to say when it ends. */
async function checks(list) {
  await Promise.all(
    list.map(async ([name, command, args]) => {
      const { status, out } = await run(command, args, { minutes: longest.checks, aside: true })
      console.log(`\n== ${name}\n${out.trim()}`)
      if (status === 0) passed += 1
      else {
        failed += 1
        console.log(`${name} failed`)
      }
    }),
  )
}

/** A runner that counts its own tests and writes them as JSON. @param aside its words are held back until it ends, since another runs beside it */
async function counted(name, command, args, { env = {}, file, read, minutes, aside = false }) {
  if (!aside) console.log(`\n== ${name}`)
  rmSync(file, { force: true })
  const { status, out } = await run(command, args, { env, minutes, aside })
  if (aside) console.log(`\n== ${name}\n${out.trim()}`)
  const [good, bad] = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : [0, 0]
  rmSync(file, { force: true })
  passed += good
  failed += bad
  if (status === 'limit') {
    failed += 1
    console.log(`${name} did not end within ${minutes} minutes`)
  } else if (status !== 0 && bad === 0) failed += 1
  if (good + bad === 0) {
    failed += 1
    console.log(`${name} ran no test`)
  }
}

/** One run of Jest. It is told to end when its tests have: what a failed test leaves open must not hold up the rest. */
function unitTests(name, file, args, { aside = false, workers = 1 } = {}) {
  const at = join(root, `test-results-${file}.json`)
  return counted(
    name,
    bin('jest'),
    [...args, `--maxWorkers=${workers}`, '--forceExit', '--json', `--outputFile=${at}`, '--silent'],
    {
      env: file === 'web' ? {} : { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
      file: at,
      minutes: longest.unit,
      aside,
      read: (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
    },
  )
}

const bin = (name) => join(root, 'node_modules/.bin', name)
await checks([
  ['Format', bin('prettier'), ['--check', '.', '--log-level', 'warn']],
  ['Lint', bin('eslint'), ['.', '--max-warnings', '0']],
  ['Types', bin('tsc'), ['-p', 'tsconfig.json']],
  ['Types of the web application', bin('tsc'), ['-p', 'apps/web/tsconfig.json']],
  [
    'Borders of the packages',
    bin('depcruise'),
    ['--config', '.dependency-cruiser.cjs', 'packages', 'apps/server/src', 'apps/cli/src', 'apps/web/src'],
  ],
])
// The server's tests live in quickened time and have the machine to themselves; most of theirs is waiting, so two run side by side.
const web = unitTests('Unit tests of the web application', 'web', ['-c', 'apps/web/jest.config.cjs'], { aside: true })
await unitTests('Unit tests of the core', 'core', ['--selectProjects', 'core'])
await web
await unitTests('Unit tests of the server', 'server', ['--selectProjects', 'server'], { workers: 2 })

/** One half of the journeys, with a demo of its own: most of their time is waiting too. What looks at every view stands last, when the other half is done. */
function journeys(half, port, { aside = false } = {}) {
  const file = join(root, `test-results-journeys-${half}.json`)
  return counted(
    `Journeys, half ${half}`,
    bin('playwright'),
    ['test', '-c', 'e2e/playwright.config.ts', `--shard=${half}/2`],
    {
      env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file, E2E_PORT: String(port) },
      file,
      minutes: longest.journeys,
      aside,
      read: (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected],
    },
  )
}
const second = journeys(2, 4400, { aside: true })
await journeys(1, 4390)
await second

console.log(`\n${Math.round((Date.now() - began) / 1000)} s after install and export`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)

/** A package of Debian's, installed where it is missing and we may. */
function debian(name, file, why) {
  if (existsSync(file)) return
  if (process.getuid?.() !== 0) {
    console.error(`${why}: install Debian’s package ${name}, then run again.`)
    process.exit(1)
  }
  console.log(`Installing ${name} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  execFileSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env })
  execFileSync('apt-get', ['install', '-y', '-qq', name], { stdio: 'ignore', env })
}

import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { homedir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { netFor, people } from './job'
import { makeDemo } from './make'

const here = dirname(fileURLToPath(import.meta.url))
const root = resolve(here, '../../..')
const demo = process.argv[2] !== 'start'
const noRig = process.argv.includes('--no-rig')
const dataFolder = resolve(
  process.env['RAUTA_DATA'] ?? (demo ? join(root, '.rauta', 'demo') : join(homedir(), '.local', 'share', 'rauta')),
)
const port = Number(process.env['PORT'] ?? 4380)
const net = netFor(port)
const rigPort = Number(process.env['RIG_PORT'] ?? port + 1)
/** How fast the site lives while the demo is made, and how far back its day begins. */
const factor = 20
const headStartMs = 45 * 60_000
/** `--lan`, or `--lan 10.0.0.5` to bind that address alone. */
const lanAt = process.argv.indexOf('--lan')
const lanNamed = /^\d+\.\d+\.\d+\.\d+$/.exec(process.argv[lanAt + 1] ?? '')?.[0] ?? 'all'
const lanAddress = lanAt < 0 ? null : lanNamed
const lanEnv: Record<string, string> = lanAddress ? { RAUTA_LAN: lanAddress } : {}
const children = new Set<ChildProcess>()
let ending = false

interface Started {
  child: ChildProcess
  says: {
    lan?: { origin: string; trust: string; fingerprint: string } | null
    firstCode?: string | null
    code?: string | null
  }
}

function run(name: string, file: string, env: Record<string, string>): Promise<Started> {
  return new Promise((done, fail) => {
    const child = spawn(process.execPath, ['--import', 'tsx', file], {
      cwd: root,
      env: { ...process.env, RAUTA_DATA: dataFolder, ...env },
      stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    })
    children.add(child)
    let said = ''
    child.stderr?.on('data', (data: Buffer) => {
      said += data.toString()
      if (started) process.stderr.write(data)
    })
    let started = false
    let heard = ''
    child.stdout?.on('data', (data: Buffer) => {
      if (started) {
        process.stdout.write(data)
        return
      }
      heard += data.toString()
      const line = heard.split('\n').find((l) => l.startsWith('{') && l.endsWith('}'))
      if (line) {
        started = true
        done({ child, says: JSON.parse(line) as Started['says'] })
      }
    })
    child.on('exit', (code) => {
      children.delete(child)
      if (!started) fail(new Error(said.trim() || `${name} ended with ${code}`))
      else if (!ending && !stopping.has(child)) {
        console.error(`${name} ended by itself (${code}). ${said.trim()}`)
        void end(1)
      }
    })
  })
}

const stopping = new Set<ChildProcess>()
function stop(child: ChildProcess): Promise<void> {
  stopping.add(child)
  return new Promise((done) => {
    if (child.exitCode !== null) {
      done()
      return
    }
    const late = setTimeout(() => child.kill('SIGKILL'), 8000)
    child.once('exit', () => {
      clearTimeout(late)
      done()
    })
    child.kill('SIGTERM')
  })
}

async function end(code: number): Promise<void> {
  if (ending) return
  ending = true
  await Promise.all([...children].map(stop))
  process.exit(code)
}
process.on('SIGINT', () => void end(0))
process.on('SIGTERM', () => void end(0))

const rigEnv = {
  RAUTA_NET: JSON.stringify(net),
  RIG_SITE: process.env['RIG_SITE'] ?? join(here, '../site.json'),
  RIG_MEMORY: join(dataFolder, 'rig'),
  RIG_PORT: String(rigPort),
}
const serverFile = join(root, 'apps/server/src/main.ts')
const rigFile = join(root, 'packages/standins/src/main.ts')
const rigPage = `http://127.0.0.1:${rigPort}/`
const serverEnv = (clock: string): Record<string, string> => ({
  PORT: String(port),
  ...(clock ? { RAUTA_CLOCK: clock } : {}),
  ...(demo ? { RAUTA_NET: JSON.stringify(net), ...(noRig ? {} : { RAUTA_RIG_PAGE: rigPage }) } : {}),
})

try {
  const marker = join(dataFolder, 'demo-made')
  if (demo && !existsSync(marker)) {
    if (existsSync(join(dataFolder, 'store')) && !existsSync(join(dataFolder, 'demo-begun')))
      throw new Error(`${dataFolder} holds a job that is not the demo. Choose another folder with RAUTA_DATA.`)
    mkdirSync(dataFolder, { recursive: true })
    for (const part of ['store', 'rig']) rmSync(join(dataFolder, part), { recursive: true, force: true })
    writeFileSync(join(dataFolder, 'demo-begun'), '')
    await makeOnce(marker)
  }
  if (demo && !noRig) await run('The rig', rigFile, rigEnv)
  const { says } = await run('The server', serverFile, { ...serverEnv(''), ...lanEnv })
  console.log(`\nRauta: http://127.0.0.1:${port}/`)
  if (demo)
    console.log(
      `Sign in as ${people.lead.name} (lead), ${people.engineer.name} (engineer) or ${people.witness.name} (witness), password ${people.lead.password}`,
    )
  if (demo && !noRig) console.log(`The rig, where you play the hands: ${rigPage}`)
  if (demo && existsSync(marker))
    for (const line of readFileSync(marker, 'utf8').split('\n').slice(1).filter(Boolean)) console.log(line)
  if (says.lan) {
    console.log(
      `\nPhones on this network: ${says.lan.origin}/\nFirst let a phone trust it: ${says.lan.trust}\n${says.code ?? ''}\nAuthority ${says.lan.fingerprint}`,
    )
    if (says.firstCode)
      console.log(`The first account needs this code: ${says.firstCode.slice(0, 4)} ${says.firstCode.slice(4)}`)
  }
  if (!demo) console.log(`Data in ${dataFolder}. The first visit makes the lead’s account and the job.`)
  console.log('Ctrl-C ends it.')
} catch (error) {
  console.error((error as Error).message)
  await end(1)
}

async function makeOnce(marker: string): Promise<void> {
  const began = Date.now()
  const clock = `${factor}@${began}@${began - headStartMs}`
  console.log('Making the demo job against the rig (about a minute) ...')
  const rig = noRig ? null : (await run('The rig', rigFile, { ...rigEnv, RAUTA_CLOCK: clock })).child
  const server = (await run('The server', serverFile, serverEnv(clock))).child
  const undone = await makeDemo(
    `http://127.0.0.1:${port}`,
    rig ? `http://127.0.0.1:${rigPort}` : null,
    factor,
    (text) => console.log(`  ${text}`),
  )
  await stop(server)
  if (rig) await stop(rig)
  writeFileSync(marker, [`made in ${Math.round((Date.now() - began) / 1000)} s`, ...undone].join('\n'))
  console.log(`  made in ${Math.round((Date.now() - began) / 1000)} s`)
}

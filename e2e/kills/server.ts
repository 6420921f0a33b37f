import { spawn, type ChildProcess } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 } from 'uuid'
import { makeClock, type NetTable } from '@rauta/protocols'
import { Rig } from '@rauta/standins'
import { root } from '../launch'

/** What goes on when the server is killed. */
const works = ['burst', 'import', 'photo', 'backup', 'taking', 'load'] as const
type Work = (typeof works)[number]

export interface ServerKills {
  kills: number
  byWork: Record<Work, number>
  acknowledged: number
  /** What was acknowledged and is not there, there twice, or there in part. */
  faults: string[]
}

/** Gives numbers from a seed: the moments can be had again as far as the machine's own timing lets it. */
function numbersFrom(seed: number): () => number {
  let state = seed >>> 0 || 1
  return () => {
    state ^= state << 13
    state ^= state >>> 17
    state ^= state << 5
    state >>>= 0
    return state / 2 ** 32
  }
}

const serial = 'RG-4001'
const factor = 20
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAAAAAA6fptVAAAACklEQVR4nGP4DwABAQEAsTj2pgAAAABJRU5ErkJggg==',
  'base64',
)

/** A server of its own beside a rig of one device: killed at random moments of six kinds of work, then looked at. */
export async function serverKills(kills: number, seed: number, log: (says: string) => void): Promise<ServerKills> {
  const random = numbersFrom(seed)
  const folder = mkdtempSync(join(tmpdir(), 'rauta-kills-'))
  const port = 4300 + (process.pid % 60)
  const net = 200 + (process.pid % 40)
  const table: NetTable = {
    prefixes: [
      { site: '10.7.1.0', wire: `127.${net}.1.0`, length: 24 },
      { site: '192.168.90.0', wire: `127.${net}.90.0`, length: 24 },
    ],
    ports: { '80': 18700 + (net % 40), '443': 18750 + (net % 40) },
    interfaces: [
      { name: 'site', address: '10.7.1.5', prefix: 24 },
      { name: 'bench', address: '192.168.90.5', prefix: 24 },
    ],
    discoveryPort: 13900 + (net % 40),
  }
  const [real, simulated] = [Date.now(), Date.now() - 24 * 3600_000]
  const siteFile = join(folder, 'site.json')
  writeFileSync(
    siteFile,
    JSON.stringify({
      devices: [
        {
          serial,
          mac: '02:00:00:00:00:01',
          model: 'controller-4',
          firmware: '3.2.1',
          powered: true,
          clockOffMs: 0,
          https: true,
        },
      ],
      doors: [],
      cards: {},
    }),
  )
  const rig = new Rig({
    clock: makeClock(factor, real, simulated),
    table,
    siteFile,
    memoryFolder: join(folder, 'rig'),
    random: () => 0.1,
  })
  await rig.start()
  const base = `http://127.0.0.1:${port}/api/v1`
  let cookie = ''
  let child: ChildProcess | null = null
  const start = () =>
    new Promise<void>((done, fail) => {
      const next = spawn(process.execPath, ['--import', 'tsx', join(root, 'apps/server/src/main.ts')], {
        cwd: root,
        env: {
          ...process.env,
          NODE_OPTIONS: '',
          RAUTA_DATA: join(folder, 'data'),
          RAUTA_KEY: join(folder, 'key'),
          PORT: String(port),
          RAUTA_NET: JSON.stringify(table),
          RAUTA_CLOCK: `${factor}@${real}@${simulated}`,
          RAUTA_WEB: join(folder, 'no-web'),
        },
        stdio: ['ignore', 'pipe', 'pipe'],
      })
      child = next
      let said = ''
      for (const stream of [next.stdout, next.stderr])
        stream.on('data', (part: Buffer) => {
          said += part.toString()
          if (said.includes('"server"')) done()
        })
      next.once('exit', () => fail(new Error(`The server did not start: ${said}`)))
    })
  const kill = () =>
    new Promise<void>((done) => {
      child?.once('exit', () => done())
      child?.kill('SIGKILL')
    })
  const ask = async (path: string, body?: unknown, raw?: Uint8Array) => {
    const answer = await fetch(base + path, {
      method: body === undefined && !raw ? 'GET' : 'POST',
      headers: {
        cookie,
        ...(raw ? { 'content-type': 'application/octet-stream' } : { 'content-type': 'application/json' }),
      },
      ...(raw ? { body: new Uint8Array(raw) } : body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie
    const text = await answer.text()
    return { ok: answer.ok, body: (text ? JSON.parse(text) : {}) as Record<string, unknown> }
  }
  const command = (name: string, payload: unknown, id = v7()) => ask('/commands', { id, name, payload, seen: 0 })
  const records = async () =>
    ((await ask('/facts')).body['records'] ?? []) as { kind: string; data: Record<string, unknown> }[]

  /** Names of groups, doors of an import, and pictures that were acknowledged. */
  const kept = { groups: new Set<string>(), doors: new Set<string>(), photos: new Set<string>() }
  const asked = { imports: [] as string[][] }
  const token = (): string =>
    (JSON.parse(readFileSync(join(folder, 'data', 'in-use'), 'utf8')) as { token?: string }).token ?? ''
  let n = 0
  const work: Record<Work, () => Promise<void>> = {
    async burst() {
      for (;;)
        await Promise.all(
          Array.from({ length: 8 }, async () => {
            const id = `g${++n}`
            if ((await command('group.put', { id, name: id })).ok) kept.groups.add(id)
          }),
        )
    },
    async import() {
      for (;;) {
        const from = (n += 40)
        const refs = Array.from({ length: 40 }, (_, i) => `K-${from + i}`)
        asked.imports.push(refs)
        const rows = refs.map((ref) => `${ref};${ref};Outside;Inside`).join('\n')
        const brought = await ask(
          '/door-schedule?file=k.csv',
          undefined,
          Buffer.from(`Door no;Name;From;To\n${rows}\n`),
        )
        const taken = await ask(`/door-schedule/${String(brought.body['id'])}/take`, {})
        if (taken.ok) for (const ref of refs) kept.doors.add(ref)
      }
    },
    async photo() {
      for (;;) {
        const id = v7()
        const sha256 = createHash('sha256').update(png).digest('hex')
        const bytes = await ask(`/photos/${id}`, undefined, png)
        const record = await command('photo.add', {
          id,
          door: 'D-01',
          cable: '',
          of: 'nameplate',
          width: 1,
          height: 1,
          sha256,
        })
        if (bytes.ok && record.ok) kept.photos.add(id)
      }
    },
    async backup() {
      const bearer = token()
      for (;;) {
        const file = join(folder, `b${++n}.backup`)
        const answer = await fetch(`${base}/keep/backup`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', authorization: `Bearer ${bearer}` },
          body: JSON.stringify({ file }),
        })
        if (answer.ok && !existsSync(file)) throw new Error(`${file} was acknowledged and is not there`)
      }
    },
    async taking() {
      await ask('/search', {})
      for (;;) {
        await command('claim.start', { controller: 'a1' })
        await command('firmware.accept', { controller: 'a1' })
        await new Promise((done) => setTimeout(done, 100))
      }
    },
    async load() {
      for (;;) {
        const id = `p${++n}`
        await command('person.put', {
          id,
          number: String(n),
          name: id,
          cards: [{ id: `c${n}`, facility: n % 200, number: n % 60_000, state: 'in use' }],
          groups: ['g0'],
        })
        await command('load.start', { id: v7(), controller: 'a1' })
        await new Promise((done) => setTimeout(done, 60))
      }
    },
  }
  const byWork = Object.fromEntries(works.map((w) => [w, 0])) as Record<Work, number>
  const faults: string[] = []

  async function look(): Promise<void> {
    const list = await records()
    const of = (kind: string) => list.filter((r) => r.kind === kind).map((r) => r.data)
    const groups = of('group').map((g) => String(g['id']))
    const doors = of('door').map((d) => String(d['ref']))
    const photos = new Set(of('photo').map((p) => String(p['id'])))
    if (new Set(groups).size !== groups.length) faults.push('a group stands twice')
    if (new Set(doors).size !== doors.length) faults.push('a door stands twice')
    for (const id of kept.groups) if (!groups.includes(id)) faults.push(`group ${id} is lost`)
    for (const ref of kept.doors) if (!doors.includes(ref)) faults.push(`door ${ref} is lost`)
    for (const id of kept.photos) {
      if (!photos.has(id)) faults.push(`the record of picture ${id} is lost`)
      else if (!(await fetch(`${base}/photos/${id}`, { headers: { cookie } })).ok) faults.push(`picture ${id} is lost`)
    }
    for (const refs of asked.imports) {
      const there = refs.filter((ref) => doors.includes(ref)).length
      if (there !== 0 && there !== refs.length) faults.push(`${there} of ${refs.length} doors of one import are there`)
    }
    kept.photos.clear()
    asked.imports.length = 0
    const { notices } = (await (await fetch(`${base}/health`)).json()) as { notices: number }
    if (notices) faults.push(`the store has ${notices} notices`)
  }

  try {
    await start()
    await ask('/first', {
      name: 'lead',
      password: 'long enough 1',
      job: {
        name: 'J',
        client: '',
        site: '',
        zone: 'UTC',
        network: { address: '10.7.1.0', prefix: 24, gateway: '10.7.1.1', timeServer: '10.7.1.2' },
      },
    })
    for (const [id, code, name] of [
      ['out', 'O', 'Outside'],
      ['in', 'I', 'Inside'],
    ])
      await command('area.put', { id, code, name })
    await command('controller.put', {
      id: 'a1',
      ref: 'A1',
      sheet: 'controller-4',
      cabinet: 'Riser',
      supply: 'supply-5',
      address: '10.7.1.21',
      serial,
      mac: '',
    })
    await command('group.put', { id: 'g0', name: 'Staff' })
    await command('door.add', {
      id: 'D-01',
      fields: {
        ref: 'D-01',
        name: 'Door 1',
        from: 'out',
        to: 'in',
        handle: true,
        hardware: { entryReader: 'reader-slim', lock: 'strike-secure', contact: 'contact-frame', exit: 'button-exit' },
      },
    })
    for (let i = 0; i < kills; i++) {
      const which = works[Math.floor(random() * works.length)] ?? 'burst'
      const doing = work[which]().catch((error: Error) => {
        if (/acknowledged/.test(error.message)) faults.push(error.message)
      })
      await new Promise((done) =>
        setTimeout(done, 30 + random() * (which === 'backup' || which === 'taking' ? 2500 : 700)),
      )
      await kill()
      await doing
      byWork[which] += 1
      await start()
      await look()
      if ((i + 1) % 20 === 0) log(`${i + 1} kills, ${faults.length} faults`)
    }
    // Whatever was broken off, the device is ours in the end, under a password that is known.
    await ask('/search', {})
    const end = Date.now() + 120_000
    for (;;) {
      await command('claim.start', { controller: 'a1' })
      await command('firmware.accept', { controller: 'a1' })
      const reach = (await records()).find((r) => r.kind === 'reach')?.data
      if (reach?.['owned'] === true && reach['silentMs'] === 0) break
      if (Date.now() > end) {
        faults.push(`the device was not taken in the end: ${JSON.stringify(reach ?? null)}`)
        break
      }
      await new Promise((done) => setTimeout(done, 500))
    }
    return { kills, byWork, acknowledged: kept.groups.size + kept.doors.size, faults: [...new Set(faults)] }
  } finally {
    await kill()
    await rig.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

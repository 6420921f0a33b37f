import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { v7 } from 'uuid'
import { makeClock, type Clock, type NetTable } from '@rauta/protocols'
import { play, Rig, type BusReaderFile, type DoorFile, type Hand, type SiteFile, type Unit } from '@rauta/standins'
import type { Controller, Facts, RecordKind, RecordTypes } from '@rauta/core'
import type { CommandAnswer } from '@rauta/contracts'
import type { Protocols } from '@rauta/drivers'
import { startServer, type Running } from '../src'
import { freshStore } from './fresh'

/** How fast the simulated sites of these tests live. */
const factor = 10
let nets = 40 * Number(process.env['JEST_WORKER_ID'] ?? 1)

/** A network of its own for each site, so that nothing of one test is heard in another. */
function ownNet(): NetTable {
  const n = ++nets
  return {
    prefixes: [
      { site: '10.7.1.0', wire: `127.${n}.1.0`, length: 24 },
      { site: '192.168.90.0', wire: `127.${n}.90.0`, length: 24 },
    ],
    ports: { '80': 18100 + n, '443': 18500 + n, '123': 18900 + n },
    interfaces: [
      { name: 'site', address: '10.7.1.5', prefix: 24 },
      { name: 'bench', address: '192.168.90.5', prefix: 24 },
    ],
    discoveryPort: 13700 + n,
  }
}

const strike = (serial: string, k: number): Omit<DoorFile, 'id' | 'name'> => ({
  lock: {
    principle: 'strike',
    fail: 'secure',
    feedV: 13.6,
    loopOhm: 1,
    coilOhm: 30,
    leastV: 10.2,
    serial,
    relay: `relay ${k}`,
  },
  readers: [{ id: 'R1', side: 'outside', serial, port: `reader ${2 * k - 1}` }],
  contact: { serial, input: `input ${2 * k - 1}` },
  exit: { serial, input: `input ${2 * k}` },
  breakGlass: false,
  handle: true,
})

/** A reader on a bus as it comes from the factory, with its switches at nought and its terminator on. */
export const busReader = (serial: string, change: Partial<BusReaderFile> = {}): BusReaderFile => ({
  serial,
  model: 'reader-bus',
  vendor: '00A5C3',
  version: 2,
  firmware: '1.4.0',
  address: 0,
  speed: 9600,
  switches: true,
  terminator: true,
  ...change,
})

/** Tests run many stores at once. */
export const littleRoom = { reserveB: 1 << 20, leastB: 1 << 20 }

export const serial = 'RG-4001'
/** Four doors on one controller, wired as planned. */
export function siteFile(change: (site: SiteFile) => void = () => undefined): SiteFile {
  const site: SiteFile = {
    devices: [
      {
        serial,
        mac: '02:00:00:00:00:01',
        model: 'controller-4',
        firmware: '3.2.1',
        powered: true,
        clockOffMs: 3_600_000,
      },
    ],
    doors: [1, 2, 3, 4].map((k) => ({ id: `D-0${k}`, name: `Door ${k}`, ...strike(serial, k) })),
    cards: { good: '582711', lost: '582712', hours: '582713', unknown: '582714' },
  }
  change(site)
  return site
}

/** The doors of a site on boards with a bus, a second relay and four inputs at each door port. */
export function onLargeBoard(site: SiteFile): void {
  for (const device of site.devices) device.model = 'controller-8'
  for (const [k, door] of site.doors.entries()) {
    door.lock.relay = `relay ${2 * k + 1}`
    door.contact = { serial, input: `input ${4 * k + 1}` }
    door.exit = { serial, input: `input ${4 * k + 2}` }
  }
}

/** Those that a failed test left running: an open server would keep the whole run from ending. The bench uses sites without a test around. */
const running = new Set<Site>()
if (typeof afterAll === 'function')
  afterAll(async () => {
    for (const site of [...running]) await site.stop()
  })

export class Site {
  readonly folder = mkdtempSync(join(tmpdir(), 'rauta-test-'))
  readonly clock: Clock
  rig!: Rig
  server!: Running
  private protocols: Protocols | undefined
  private cookie = ''
  constructor(
    private readonly file: SiteFile,
    readonly table: NetTable = ownNet(),
    readonly speed = factor,
  ) {
    this.clock = makeClock(speed, Date.now(), Date.now() - 3600_000)
  }

  async start(options: { rig?: boolean; protocols?: Protocols } = {}): Promise<this> {
    this.protocols = options.protocols
    running.add(this)
    writeFileSync(join(this.folder, 'site.json'), JSON.stringify(this.file))
    this.rig = new Rig({
      clock: this.clock,
      table: this.table,
      siteFile: join(this.folder, 'site.json'),
      memoryFolder: join(this.folder, 'rig'),
      random: () => 0.1,
    })
    if (options.rig !== false) await this.rig.start()
    await this.startServer()
    return this
  }
  async startServer(): Promise<void> {
    await freshStore(join(this.folder, 'data', 'store'))
    this.server = await startServer({
      dataFolder: join(this.folder, 'data'),
      keyFile: join(this.folder, 'key'),
      port: 0,
      clock: this.clock,
      table: this.table,
      webFolder: null,
      rigPage: null,
      logLevel: 'silent',
      room: littleRoom,
      ...(this.protocols ? { protocols: this.protocols } : {}),
    })
  }
  async stop(): Promise<void> {
    running.delete(this)
    await this.server.close()
    await this.rig.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }

  /** A device of the rig by its serial; the one controller of the usual site where none is named. */
  unit(of = serial): Unit {
    const found = this.rig.units.get(of)
    if (!found) throw new Error(`no device ${of}`)
    return found
  }
  get facts(): Facts {
    return this.server.context.log.facts
  }
  /** Cookie of whoever is signed in, under the name that it has at this start's port. */
  get session(): string {
    return this.cookie.replace(/_\d+=/, `_${this.server.port}=`)
  }
  get base(): string {
    return `http://127.0.0.1:${this.server.port}/api/v1`
  }

  async ask(
    method: 'GET' | 'POST',
    path: string,
    body?: unknown,
    cookie = this.session,
  ): Promise<{ status: number; body: Record<string, unknown>; text: string; headers: Headers }> {
    const response = await fetch(this.base + path, {
      method,
      headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await response.text()
    const kept = response.headers.get('set-cookie')
    if (kept && cookie === this.session) this.cookie = kept.split(';')[0] ?? ''
    let json: Record<string, unknown> = {}
    try {
      json = JSON.parse(text) as Record<string, unknown>
    } catch {
      /* not JSON */
    }
    return { status: response.status, body: json, text, headers: response.headers }
  }
  /** Bytes as they are, as a browser hands a file over. */
  async raw(path: string, bytes: Uint8Array): Promise<{ status: number; body: Record<string, unknown> }> {
    const response = await fetch(this.base + path, {
      method: 'POST',
      headers: { cookie: this.session, 'content-type': 'application/octet-stream' },
      body: new Uint8Array(bytes),
    })
    return { status: response.status, body: (await response.json()) as Record<string, unknown> }
  }
  async bytes(path: string): Promise<Uint8Array> {
    return new Uint8Array(await (await fetch(this.base + path, { headers: { cookie: this.session } })).arrayBuffer())
  }
  /** The server ends and starts again over the same data. */
  async restart(): Promise<void> {
    await this.server.close()
    await this.startServer()
  }
  async command(name: string, payload: unknown, seen = this.facts.rev): Promise<CommandAnswer> {
    const answer = await this.ask('POST', '/commands', { id: v7(), name, payload, seen })
    if (answer.status !== 200) throw new Error(`${name}: ${String(answer.body['says'])}`)
    return answer.body as unknown as CommandAnswer
  }
  /** Waits for a state of the facts, never for a time. */
  async until<T>(what: string, look: (facts: Facts) => T | null | undefined | false, limitMs = 20_000): Promise<T> {
    const end = Date.now() + limitMs
    for (;;) {
      const found = look(this.facts)
      if (found) return found
      if (Date.now() > end) throw new Error(`waited in vain for ${what}`)
      await new Promise((done) => setTimeout(done, 15))
    }
  }
  get<K extends RecordKind>(kind: K, id: string): RecordTypes[K] | undefined {
    return this.facts[kind][id] as RecordTypes[K] | undefined
  }
  hands(hands: Hand[]): Promise<string[]> {
    return play(this.rig, hands)
  }

  /** First use, and the plan of four doors on one controller. */
  async plan(doors = 4, controller: Partial<Controller> = {}): Promise<void> {
    await this.ask('POST', '/first', {
      name: 'lead',
      password: 'long enough 1',
      job: {
        name: 'J',
        client: 'C',
        site: 'S',
        zone: 'Europe/Helsinki',
        network: { address: '10.7.1.0', prefix: 24, gateway: '10.7.1.1', timeServer: '10.7.1.2' },
      },
    })
    for (const [id, code] of [
      ['out', 'O'],
      ['in', 'I'],
    ])
      await this.command('area.put', { id, code, name: id })
    await this.command('controller.put', {
      id: 'a1',
      ref: 'A1',
      sheet: 'controller-4',
      cabinet: 'Riser',
      supply: 'supply-5',
      address: '10.7.1.21',
      serial,
      mac: '',
      ...controller,
    })
    await this.command('schedule.put', {
      id: 'always',
      name: 'Always',
      periods: [{ days: [1, 2, 3, 4, 5, 6, 7], from: '00:00', to: '24:00' }],
    })
    await this.command('specialDay.put', {
      id: 'sd',
      date: '2031-12-24',
      name: 'shut',
      periods: [{ from: '08:00', to: '12:00' }],
    })
    await this.command('group.put', { id: 'g', name: 'Staff' })
    await this.command('testCards.put', {
      id: 'kit',
      good: { facility: 88, number: 10001 },
      lost: { facility: 88, number: 10002 },
      outOfHours: { facility: 88, number: 10003 },
      unknown: { facility: 88, number: 10004 },
    })
    for (let k = 1; k <= doors; k++) {
      const id = `D-0${k}`
      await this.command('door.add', {
        id,
        fields: {
          ref: id,
          name: `Door ${k}`,
          from: 'out',
          to: 'in',
          handle: true,
          hardware: {
            entryReader: 'reader-slim',
            lock: 'strike-secure',
            contact: 'contact-frame',
            exit: 'button-exit',
          },
          behaviour: {
            releaseS: 5,
            heldOpenS: 20,
            relockDelayS: 0,
            contactIdle: 'closed',
            exitIdle: 'open',
            forcedAlarm: true,
          },
        },
      })
      await this.command('door.placeProposed', { id, controller: 'a1' })
    }
    if (doors > 0)
      await this.command('rule.put', { id: 'r', group: 'g', doors: Object.keys(this.facts.door), schedule: 'always' })
    await this.command('person.put', {
      id: 'p',
      number: '1',
      name: 'Somebody',
      cards: [{ id: 'c', facility: 61, number: 4417, state: 'in use' }],
      groups: ['g'],
    })
  }
  async find(): Promise<void> {
    await this.until('the device to be up', () => [...this.rig.units.values()].some((u) => u.up))
    for (
      let tries = 0;
      tries < 5 && !Object.values(this.facts.found).some((f) => f.controller === 'a1' && f.ownership !== 'unknown');
      tries++
    )
      await this.ask('POST', '/search', {})
  }
  async take(): Promise<void> {
    await this.find()
    await this.command('claim.start', { controller: 'a1' })
    await this.until(
      'the firmware to be shown',
      (f) => f.claim['a1']?.steps.find((s) => s.name === 'firmware')?.state === 'waits',
    )
    await this.command('firmware.accept', { controller: 'a1' })
    await this.until('the device in service', (f) => f.reach['a1']?.owned)
  }
  /** Takes a reader on a bus into service, and accepts its firmware where nobody has. */
  async takeOnBus(door: string, part: string): Promise<void> {
    const device = `${door}/${part}`
    await this.command('busDevice.take', { door, part })
    const waiting = await this.until('the reader to be taken as far as it goes', (f) => {
      const at = f.claim[device]?.steps.find((s) => s.state !== 'done')
      return at ? (at.state === 'waits' || at.state === 'failed') && at : 'done'
    })
    if (waiting === 'done') return
    if (waiting.name !== 'firmware') throw new Error(`${device} ${waiting.name}: ${waiting.says}`)
    await this.command('busDevice.acceptFirmware', { door, part })
    await this.until('the reader in service', (f) => f.reach[device]?.owned)
  }
  async load(): Promise<string> {
    const id = v7()
    await this.command('load.start', { id, controller: 'a1' })
    await this.until(
      'the load to end',
      (f) => ['held', 'atDoors', 'differs', 'failed'].includes(f.load[id]?.state ?? ''),
      40_000,
    )
    return id
  }
  /** Runs a test with hands and gives the proof it came to. @param first what is done once it has begun, before the hands */
  async prove(
    door: string,
    test: string,
    hands: Hand[],
    limitMs = 20_000,
    first: () => Promise<unknown> = async () => undefined,
  ) {
    const before = new Set(Object.keys(this.facts.proof))
    await this.command('trial.start', { door, test })
    await this.until('the controller to be ready', (f) => !f.trial[door]?.waits)
    await this.clock.sleep(800)
    await first()
    const played = this.hands(hands)
    const proof = await this.until(
      `${door} ${test} to be judged`,
      (f) => Object.values(f.proof).find((p) => !before.has(p.id) && p.door === door && p.test === test),
      limitMs,
    )
    await played
    await this.clock.sleep(6500) // until every lock is back
    return proof
  }

  /** Runs a test whose verdict a person gives: it passed where the last hand came to nothing. */
  async proveAsked(door: string, test: string, hands: Hand[]) {
    await this.command('trial.start', { door, test })
    const done = await this.hands(hands)
    await this.command('trial.answer', {
      door,
      test,
      answer: done.at(-1) === 'it holds' ? 'passed' : 'failed',
      says: 'Seen.',
    })
    return await this.until(
      `${door} ${test} to be recorded`,
      (f) =>
        Object.values(f.proof)
          .filter((p) => p.door === door && p.test === test)
          .sort((a, b) => b.at - a.at)[0],
    )
  }
}

export const goodCard = (door: string): Hand[] => [
  { do: 'card', door, reader: 'R1', card: 'good' },
  { after: 1000, do: 'lean', door, ms: 3000 },
  { after: 1500, do: 'close', door },
]

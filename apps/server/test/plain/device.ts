import { createServer, type IncomingMessage, type Server } from 'node:http'
import type { Json, Operation } from '@rauta/core'
import { toWire, wirePort, type Clock, type NetTable } from '@rauta/protocols'
import type { ToldEvent } from '@rauta/drivers'

/** What is asked of the plain device: one JSON request, one JSON answer. */
export interface Ask {
  ask: string
  user?: string
  password?: string
  with?: unknown
}

/**
 * A door controller of another make, for the tests alone: it speaks JSON over HTTP, has a password, an address, a clock and a memory of
 * parts, and tells its events. It knows nothing of the rig.
 */
export class PlainDevice {
  address = '192.168.90.60'
  password = 'plain-factory'
  parts: Record<string, Json> = {}
  zone = '<+00>0'
  clockOffMs = 5000
  boot = 'p1'
  /** Refuses to be written to; all else it still does. */
  refuses = false
  private seq = 0
  private queue: ToldEvent[] = []
  private wake: (() => void) | null = null
  private server: Server | null = null
  constructor(
    private readonly table: NetTable,
    private readonly clock: Clock,
  ) {}

  async listen(): Promise<void> {
    const server = createServer((request, response) => {
      void this.answer(request).then(({ status, body }) => response.writeHead(status).end(JSON.stringify(body)))
    })
    await new Promise<void>((done) =>
      server.listen(wirePort(this.table, 80), toWire(this.table, this.address) ?? '127.0.0.1', done),
    )
    this.server = server
  }
  async stop(): Promise<void> {
    this.wake?.()
    const server = this.server
    this.server = null
    server?.closeAllConnections()
    if (server) await new Promise((done) => server.close(done))
  }

  /** A card at a reader, as its own firmware takes it: the reader that is told for that port reads it. */
  present(port: string, card: string): void {
    for (const [key, part] of Object.entries(this.parts)) {
      if (!key.startsWith('terminals/')) continue
      const point = Object.values(part as Record<string, { part: string; port: string }>).find((p) => p.port === port)
      const known = Object.values(this.parts).some((p) => (p as { card?: string }).card === card)
      if (point) this.tell(key.slice(10), point.part, card, known)
    }
  }
  private tell(door: string, reader: string, card: string, known: boolean): void {
    const at = this.clock.now() + this.clockOffMs
    const kind = known ? 'granted' : 'refused'
    this.queue.push({
      boot: this.boot,
      seq: ++this.seq,
      at,
      door,
      reader,
      card,
      kind,
      state: known ? 'granted' : 'unknown',
      says: `${kind} at ${reader}`,
    })
    this.wake?.()
  }

  private async answer(request: IncomingMessage): Promise<{ status: number; body: unknown }> {
    let text = ''
    for await (const part of request) text += String(part)
    const { ask, user, password, with: value } = JSON.parse(text) as Ask
    if (ask === 'time') return { status: 200, body: { utcMs: this.clock.now() + this.clockOffMs, zone: this.zone } }
    if (user !== 'fitter' || password !== this.password) return { status: 401, body: { says: 'wrong password' } }
    if (this.refuses && ask === 'write') return { status: 409, body: { says: 'busy with itself' } }
    const act = this.acts[ask]
    return act ? { status: 200, body: (await act(value)) ?? {} } : { status: 404, body: { says: `no ${ask}` } }
  }

  private readonly acts: Record<string, (value: unknown) => unknown> = {
    who: () => ({
      model: 'plain-controller',
      firmware: '1.4',
      serial: 'PL-1',
      mac: '02:00:00:00:00:60',
      address: this.address,
      hostname: 'plain',
    }),
    password: (value) => {
      this.password = String(value)
    },
    erase: () => {
      this.parts = {}
    },
    address: (value) => {
      this.address = String(value)
    },
    clock: (value) => {
      this.zone = String(value)
      this.clockOffMs = 0
    },
    restart: () => {
      setTimeout(() => void this.restart(), 10)
    },
    read: () => this.parts,
    write: (value) => {
      const operation = value as Operation
      if (operation.do === 'set') this.parts[operation.key] = operation.value
      else delete this.parts[operation.key]
    },
    events: async () => {
      if (this.queue.length === 0)
        await new Promise<void>((done) => {
          this.wake = done
          setTimeout(done, 400).unref()
        })
      this.wake = null
      return { boot: this.boot, events: this.queue.splice(0) }
    },
  }

  private async restart(): Promise<void> {
    await this.stop()
    this.boot = 'p2'
    this.seq = 0
    await this.listen()
  }
}

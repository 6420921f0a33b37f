import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { createServer as createSecure } from 'node:https'
import {
  envelope,
  faultEnvelope,
  largestBody,
  MalformedError,
  openEnvelope,
  type NetTable,
  toWire,
  wirePort,
} from '@rauta/protocols'
import { beforeSignIn, Fault, handlerFor, isWrite } from './services'
import type { Unit } from './unit'

/** Listeners of the simulated network: each address has one, and the device that came up there last answers at it. */
export class AddressBook {
  private readonly listeners = new Map<string, { servers: Server[]; units: Unit[] }>()
  constructor(private readonly table: NetTable) {}

  async join(unit: Unit): Promise<void> {
    const host = toWire(this.table, unit.memory.address)
    if (!host) return
    const there = this.listeners.get(host)
    if (there) {
      there.units.push(unit)
      return
    }
    const units = [unit]
    const answer = (request: IncomingMessage, response: ServerResponse) => {
      void serve(units.at(-1), request, response)
    }
    // Known to others before anything is waited for: two devices may come up at one address.
    const entry: { servers: Server[]; units: Unit[] } = { servers: [], units }
    this.listeners.set(host, entry)
    const own = unit.file.https ? await unit.certificate() : null
    const listens: [Server, number][] = [
      [createServer(answer), 80],
      ...(own ? ([[createSecure({ key: own.key, cert: own.certificate }, answer), 443]] as [Server, number][]) : []),
    ]
    if (this.listeners.get(host) !== entry) return
    entry.servers.push(...listens.map(([server]) => server))
    for (const [server, port] of listens)
      await new Promise<void>((done, fail) => {
        server.once('error', fail)
        server.listen(wirePort(this.table, port), host, done)
      })
  }

  /** Takes a device off every address it had. */
  leave(unit: Unit): void {
    for (const [host, entry] of this.listeners) {
      const at = entry.units.indexOf(unit)
      if (at < 0) continue
      entry.units.splice(at, 1)
      if (entry.units.length === 0) {
        for (const server of entry.servers) {
          server.close()
          server.closeAllConnections()
        }
        this.listeners.delete(host)
      }
    }
  }

  close(): void {
    for (const server of [...this.listeners.values()].flatMap((entry) => entry.servers)) {
      server.close()
      server.closeAllConnections()
    }
    this.listeners.clear()
  }
}

async function readBody(request: IncomingMessage): Promise<string> {
  const parts: Buffer[] = []
  let size = 0
  for await (const part of request) {
    size += (part as Buffer).length
    if (size > largestBody) throw new Fault('Sender', 'ter:TooLarge', 'The message is too large.')
    parts.push(part as Buffer)
  }
  return Buffer.concat(parts).toString('utf8')
}

async function serve(unit: Unit | undefined, request: IncomingMessage, response: ServerResponse): Promise<void> {
  if (!unit || !unit.up || unit.faults.networkCut) {
    request.destroy()
    return
  }
  const send = (status: number, text: string) => {
    if (!unit.up || unit.faults.networkCut) {
      response.destroy()
      return
    }
    response
      .writeHead(status, {
        'content-type': 'application/soap+xml; charset=utf-8',
        'content-length': Buffer.byteLength(text),
      })
      .end(text)
  }
  try {
    const text = await readBody(request)
    if (unit.faults.slowMs) await unit.world.clock.sleep(unit.faults.slowMs)
    if (unit.faults.garbage === 'silence') return
    if (unit.faults.garbage === 'noise') return send(200, 'ÿþ~ not a message at all')
    const answer = envelope(await call(unit, request, text))
    if (losesThis(unit)) {
      response.destroy()
      return
    }
    send(200, unit.faults.garbage === 'half' ? answer.slice(0, answer.length / 2) : answer)
  } catch (error) {
    if (!unit.up) {
      response.destroy()
      return
    }
    if (error instanceof Fault)
      send(error.subcode === 'ter:NotAuthorized' ? 401 : 400, faultEnvelope(error.code, error.subcode, error.message))
    else if (error instanceof MalformedError) send(400, faultEnvelope('Sender', 'ter:WellFormed', error.says))
    else send(500, faultEnvelope('Receiver', 'ter:Action', error instanceof Error ? error.message : 'Unknown'))
  }
}

const answered = new WeakMap<Unit, number>()
/** Every so many-th answer is done and not told, so that a share of them is lost the same way each time. */
function losesThis(unit: Unit): boolean {
  const n = (answered.get(unit) ?? 0) + 1
  answered.set(unit, n)
  const share = unit.faults.lostAnswers
  return Math.floor(n * share) > Math.floor((n - 1) * share)
}

const lockoutMs = 30_000

async function call(unit: Unit, request: IncomingMessage, text: string) {
  const url = new URL(request.url ?? '/', 'http://device')
  const { body, token } = openEnvelope(text)
  const operation = body.localName ?? ''
  const handler = handlerFor(url.pathname, operation)
  if (!beforeSignIn.has(operation)) authorise(unit, token)
  if (!handler) throw new Fault('Sender', 'ter:ActionNotSupported', `${operation} is not supported here.`)
  if (isWrite(operation) && !unit.beforeWrite()) throw new Fault('Receiver', 'ter:Action', 'Power lost')
  // A device that answers and does not do what it was asked: what it held before is back when it has answered.
  if (unit.faults.forgets === operation) {
    const kept = structuredClone(unit.memory)
    setImmediate(() => Object.assign(unit.memory, kept))
  }
  return handler({
    unit,
    body,
    base: `http://${request.headers.host ?? ''}`,
    query: url.searchParams,
    wait: (ms) => (arm) =>
      new Promise((done) => {
        const cancel = unit.world.after(ms, done)
        arm(() => {
          cancel()
          done()
        })
        request.on('close', done)
      }),
  })
}

/** Five wrong secrets within the window shut the door to all for a while, as a device would. */
function authorise(unit: Unit, token: ReturnType<typeof openEnvelope>['token']): void {
  const now = unit.deviceNow()
  unit.wrongSecrets = unit.wrongSecrets.filter((at) => Math.abs(now - at) < lockoutMs)
  if (unit.wrongSecrets.length >= 5)
    throw new Fault('Sender', 'ter:NotAuthorized', 'Too many wrong secrets; the device is shut for 30 s.')
  if (!token) throw new Fault('Sender', 'ter:NotAuthorized', 'A user name token is needed.')
  const fault = unit.tokens.check(token, (user) => unit.memory.users.find((u) => u.username === user)?.password, now)
  if (!fault) return
  if (fault === 'wrong digest') unit.wrongSecrets.push(now)
  throw new Fault('Sender', 'ter:NotAuthorized', `Sender not authorized: ${fault}.`)
}

import { createSocket } from 'node:dgram'
import { Agent, request, type RequestOptions } from 'node:http'
import { request as secureRequest } from 'node:https'
import { networkInterfaces } from 'node:os'
import { sameSubnet } from '@rauta/core'
import { knock, knockForTime, type Knock } from './contact'
import { DeviceError } from './errors'
import { afterPatience } from './patience'
import { certificateAt, PinnedAgent, PinnedAgents } from './pinned'
import {
  discoveryGroup,
  discoveryPort,
  sitePort,
  toSite,
  toWire,
  wirePort,
  type NetTable,
  type TimeAnswer,
} from '@rauta/protocols'

export interface Interface {
  name: string
  address: string
  prefix: number
}

/** All that a driver needs of the network. Addresses are the site's; a table may translate them. */
export interface Dialer {
  interfaces(): Interface[]
  /** Whether this computer has an address in the subnet of `address`. */
  inReach(address: string): boolean
  post(
    address: string,
    port: number,
    path: string,
    body: string,
    options: {
      timeoutMs: number
      signal?: AbortSignal
      /** The same bytes may not be sent twice: the caller asks anew where an answer is lost. */
      fresh?: true
      /** Over HTTPS, to the device that has this certificate and to no other: SHA-256, hex. */
      fingerprint?: string
    },
  ): Promise<{ status: number; text: string }>
  /** Certificate of whoever answers over TLS there: its SHA-256, hex. @throws DeviceError */
  certificateOf(address: string, port: number, timeoutMs: number, signal?: AbortSignal): Promise<string>
  /** Whether somebody takes a connection there; nothing is said on it. */
  knock(address: string, port: number, timeoutMs: number, signal: AbortSignal): Promise<Knock>
  /** What a time server says there. */
  knockForTime(
    address: string,
    now: () => number,
    timeoutMs: number,
    signal: AbortSignal,
  ): Promise<Knock & { time?: TimeAnswer }>
  /** Sends datagrams to the discovery group from every interface, and hands over every answer until `signal` ends it. */
  multicast(messages: readonly string[], onMessage: (text: string) => void, signal: AbortSignal): Promise<void>
  /** Listens to the discovery group until `signal` ends it. */
  listen(onMessage: (text: string) => void, signal: AbortSignal): Promise<void>
  /** Address and port in the site's terms of a URL that a device gave. */
  siteOf(url: string): { address: string; port: number }
}

const ntpPort = 123
const noWay: Knock = { outcome: 'noWay', tookMs: 0 }
const receiveBuffer = 4 * 1024 * 1024

/** The real network, or the simulated site's where a table is given. */
export function makeDialer(table: NetTable | null): Dialer {
  const own = (): Interface[] =>
    table
      ? table.interfaces
      : Object.entries(networkInterfaces()).flatMap(([name, list]) =>
          (list ?? [])
            .filter((i) => i.family === 'IPv4' && !i.internal)
            .map((i) => ({ name, address: i.address, prefix: Number(i.cidr?.split('/')[1] ?? 24) })),
        )
  const inReach = (address: string) => own().some((i) => sameSubnet(i.address, address, i.prefix))
  const wire = (address: string) => (table ? toWire(table, address) : address)
  const portOf = (port: number) => (table ? wirePort(table, port) : port)
  /** Where it is on the wire; null where the simulated site has no such address, as no way leads to it. Another subnet may be reached by a gateway. */
  const routeTo = (address: string): string | null => {
    const host = wire(address)
    return host && (!table || inReach(address)) ? host : null
  }
  const hostOf = (address: string): string => {
    const host = routeTo(address)
    if (host !== null) return host
    throw new DeviceError(
      'noAddress',
      `This computer has no address in the subnet of ${address}. Give its network adapter one, for example beside ${address}.`,
    )
  }
  // One connection to a device serves many requests; opening one costs as much as a small request.
  const agent = new Agent({ keepAlive: true })
  const pinned = new PinnedAgents()
  const groupPort = table?.discoveryPort ?? discoveryPort
  const localAddresses = () => (table ? ['127.0.0.1'] : own().map((i) => i.address))
  return {
    interfaces: own,
    inReach,
    siteOf(url) {
      const { hostname, port } = new URL(url)
      const plain = Number(port || 80)
      return table
        ? { address: toSite(table, hostname) ?? hostname, port: sitePort(table, plain) }
        : { address: hostname, port: plain }
    },
    async post(address, port, path, body, { timeoutMs, signal, fresh, fingerprint }) {
      const host = hostOf(address)
      return await exchange(
        {
          host,
          port: portOf(port),
          path,
          method: 'POST',
          agent: fingerprint === undefined ? agent : pinned.of(fingerprint),
          headers: { 'content-type': 'application/soap+xml; charset=utf-8', 'content-length': Buffer.byteLength(body) },
        },
        body,
        Math.max(1, Math.round(timeoutMs)),
        address,
        signal,
        fresh,
      )
    },
    async certificateOf(address, port, timeoutMs, signal) {
      const host = hostOf(address)
      return await certificateAt(host, portOf(port), Math.max(1, Math.round(timeoutMs)), signal)
    },
    async knock(address, port, timeoutMs, signal) {
      const host = routeTo(address)
      return host === null ? noWay : await knock(host, portOf(port), timeoutMs, signal)
    },
    async knockForTime(address, now, timeoutMs, signal) {
      const host = routeTo(address)
      return host === null ? noWay : await knockForTime(host, portOf(ntpPort), now, timeoutMs, signal)
    },
    multicast(messages, onMessage, signal) {
      return Promise.all(
        localAddresses().map(
          (local) =>
            new Promise<void>((resolve, reject) => {
              const socket = createSocket({ type: 'udp4' })
              socket.on('error', reject)
              socket.on('message', (data) => handOver(data, onMessage))
              socket.bind({ port: 0, address: local }, () => {
                try {
                  socket.setRecvBufferSize(receiveBuffer)
                } catch {
                  /* the system keeps its own size */
                }
                socket.setMulticastInterface(local)
                for (const message of messages) socket.send(message, groupPort, discoveryGroup)
              })
              onAbort(signal, () => socket.close(() => resolve()))
            }),
        ),
      ).then(() => undefined)
    },
    async listen(onMessage, signal) {
      // A socket on the group's own address hears the group alone; Windows knows none such, and takes one for each interface.
      const ears = process.platform === 'win32' ? localAddresses() : [discoveryGroup]
      await Promise.all(ears.map((address) => hearGroup(address, groupPort, localAddresses, onMessage, signal)))
    },
  }
}

/** An interface that comes later (a cable plugged in) is joined within so long, ms. */
const joinMs = 5000

/** Hears the discovery group over the interfaces that this computer has, until `signal` ends it. */
function hearGroup(
  address: string,
  port: number,
  interfaces: () => string[],
  onMessage: (text: string) => void,
  signal: AbortSignal,
): Promise<void> {
  return new Promise((resolve, reject) => {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    const joined = new Set<string>()
    const join = () => {
      for (const local of interfaces().filter((i) => !joined.has(i)))
        try {
          socket.addMembership(discoveryGroup, local)
          joined.add(local)
        } catch {
          /* it went away again */
        }
    }
    socket.on('error', reject)
    socket.on('message', (data) => handOver(data, onMessage))
    socket.bind({ port, address }, join)
    const again = setInterval(join, joinMs).unref()
    onAbort(signal, () => {
      clearInterval(again)
      socket.close(() => resolve())
    })
  })
}

/** Whatever a stranger's datagram does to its reader, the next one is heard: nothing may leave a socket's handler. */
function handOver(data: Buffer, onMessage: (text: string) => void): void {
  try {
    onMessage(data.toString('utf8'))
  } catch {
    /* it was none of ours */
  }
}

/** Largest answer that is read, bytes; a device that sends more is not believed. */
const largestAnswer = 4_000_000

function exchange(
  options: RequestOptions,
  body: string,
  timeoutMs: number,
  address: string,
  signal?: AbortSignal,
  fresh?: true,
): Promise<{ status: number; text: string }> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) {
      reject(new DeviceError('stopped', 'Stopped.'))
      return
    }
    const call = requestOver(options)(options, (answer) => {
      const parts: Buffer[] = []
      let size = 0
      answer.on('data', (part: Buffer) => {
        parts.push(part)
        if ((size += part.length) > largestAnswer) call.destroy(new Error('The answer is too large.'))
      })
      answer.on('end', () =>
        settle(() => resolve({ status: answer.statusCode ?? 0, text: Buffer.concat(parts).toString('utf8') })),
      )
      answer.on('error', refused)
    })
    const settle = (then: () => void) => {
      endPatience()
      signal?.removeEventListener('abort', stop)
      then()
    }
    const stop = () =>
      settle(() => {
        reject(new DeviceError('stopped', 'Stopped.'))
        call.destroy()
      })
    const endPatience = afterPatience(timeoutMs, () =>
      settle(() => {
        reject(new DeviceError('silent', `${address} does not answer.`))
        call.destroy()
      }),
    )
    const refused = (error: Error & { code?: string }) =>
      settle(() => {
        // A connection that was kept open may have been closed by the device just as it was used again: that says nothing of the device.
        const lost = error.code === 'ECONNRESET' || error.code === 'EPIPE'
        if (error instanceof DeviceError) reject(error)
        else if (call.reusedSocket && lost && !fresh)
          exchange(
            { ...options, agent: options.agent instanceof PinnedAgent ? options.agent : false },
            body,
            timeoutMs,
            address,
            signal,
          ).then(resolve, reject)
        else
          reject(
            new DeviceError(lost ? 'lost' : 'connectionRefused', `Nothing answers at ${address}.`, { cause: error }),
          )
      })
    signal?.addEventListener('abort', stop, { once: true })
    call.on('error', refused)
    call.end(body)
  })
}

const requestOver = (options: RequestOptions): typeof request =>
  options.agent instanceof PinnedAgent ? (secureRequest as typeof request) : request

function onAbort(signal: AbortSignal, then: () => void): void {
  if (signal.aborted) then()
  else signal.addEventListener('abort', then, { once: true })
}

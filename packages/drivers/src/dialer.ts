import { createSocket } from 'node:dgram'
import { networkInterfaces } from 'node:os'
import { sameSubnet } from '@rauta/core'
import { discoveryGroup, discoveryPort, sitePort, toSite, toWire, wirePort, type NetTable } from '@rauta/protocols'

export interface Interface { name: string; address: string; prefix: number }

/** Why a device could not be talked to, as a value that can be told. */
export class UnreachableError extends Error {
  constructor(readonly why: 'no address in that subnet' | 'refused' | 'no answer' | 'stopped', readonly says: string, options?: ErrorOptions) { super(says, options) }
}

/** All that a driver needs of the network. Addresses are the site's; a table may translate them. */
export interface Dialer {
  interfaces(): Interface[]
  /** Whether this computer has an address in the subnet of `address`. */
  inReach(address: string): boolean
  post(address: string, port: number, path: string, body: string, options: { timeoutMs: number; signal?: AbortSignal }): Promise<{ status: number; text: string }>
  /** Sends datagrams to the discovery group from every interface, and hands over every answer until `signal` ends it. */
  multicast(messages: readonly string[], onMessage: (text: string) => void, signal: AbortSignal): Promise<void>
  /** Listens to the discovery group until `signal` ends it. */
  listen(onMessage: (text: string) => void, signal: AbortSignal): Promise<void>
  /** Address and port in the site's terms of a URL that a device gave. */
  siteOf(url: string): { address: string; port: number }
}

const receiveBuffer = 4 * 1024 * 1024

/** The real network, or the simulated site's where a table is given. */
export function makeDialer(table: NetTable | null): Dialer {
  const own = (): Interface[] => table ? table.interfaces : Object.entries(networkInterfaces()).flatMap(([name, list]) => (list ?? []).filter((i) => i.family === 'IPv4' && !i.internal).map((i) => ({ name, address: i.address, prefix: Number(i.cidr?.split('/')[1] ?? 24) })))
  const inReach = (address: string) => own().some((i) => sameSubnet(i.address, address, i.prefix))
  const wire = (address: string) => (table ? toWire(table, address) : address)
  const groupPort = table?.discoveryPort ?? discoveryPort
  const localAddresses = () => (table ? ['127.0.0.1'] : own().map((i) => i.address))
  return {
    interfaces: own,
    inReach,
    siteOf(url) {
      const { hostname, port } = new URL(url)
      const plain = Number(port || 80)
      return table ? { address: toSite(table, hostname) ?? hostname, port: sitePort(table, plain) } : { address: hostname, port: plain }
    },
    async post(address, port, path, body, { timeoutMs, signal }) {
      const host = wire(address)
      if (!host || (table && !inReach(address))) throw new UnreachableError('no address in that subnet', `This computer has no address in the subnet of ${address}. Give its network adapter one, for example beside ${address}.`)
      const timeout = AbortSignal.timeout(Math.max(1, Math.round(timeoutMs)))
      try {
        const answer = await fetch(`http://${host}:${table ? wirePort(table, port) : port}${path}`, { method: 'POST', body, headers: { 'content-type': 'application/soap+xml; charset=utf-8' }, signal: signal ? AbortSignal.any([signal, timeout]) : timeout })
        return { status: answer.status, text: await answer.text() }
      } catch (error) {
        if (signal?.aborted) throw new UnreachableError('stopped', 'Stopped.')
        if (timeout.aborted) throw new UnreachableError('no answer', `${address} does not answer.`)
        throw new UnreachableError('refused', `Nothing answers at ${address}.`, { cause: error })
      }
    },
    multicast(messages, onMessage, signal) {
      return Promise.all(localAddresses().map((local) => new Promise<void>((resolve, reject) => {
        const socket = createSocket({ type: 'udp4' })
        socket.on('error', reject)
        socket.on('message', (data) => onMessage(data.toString('utf8')))
        socket.bind(0, () => {
          try { socket.setRecvBufferSize(receiveBuffer) } catch { /* the system keeps its own size */ }
          socket.setMulticastInterface(local)
          for (const message of messages) socket.send(message, groupPort, discoveryGroup)
        })
        onAbort(signal, () => socket.close(() => resolve()))
      }))).then(() => undefined)
    },
    listen(onMessage, signal) {
      return new Promise((resolve, reject) => {
        const socket = createSocket({ type: 'udp4', reuseAddr: true })
        socket.on('error', reject)
        socket.on('message', (data) => onMessage(data.toString('utf8')))
        socket.bind(groupPort, () => { for (const local of localAddresses()) socket.addMembership(discoveryGroup, local) })
        onAbort(signal, () => socket.close(() => resolve()))
      })
    },
  }
}

function onAbort(signal: AbortSignal, then: () => void): void {
  if (signal.aborted) then()
  else signal.addEventListener('abort', then, { once: true })
}

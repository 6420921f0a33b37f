import { createSocket, type Socket } from 'node:dgram'
import { randomUUID } from 'node:crypto'
import {
  bye,
  discoveryGroup,
  discoveryPort,
  hello,
  probeMatch,
  readDiscovery,
  servicePaths,
  toWire,
  typesMatch,
  wirePort,
  type NetTable,
} from '@rauta/protocols'
import type { Unit } from '../device/unit'

const loopback = '127.0.0.1'
const id = () => `urn:uuid:${randomUUID()}`

/** Answers probes and says hello for all devices that are up, over multicast on the loopback interface. */
export class DiscoveryResponder {
  private socket: Socket | null = null
  private readonly answered = new Set<string>()
  constructor(
    private readonly table: NetTable,
    private readonly units: () => Unit[],
    private readonly random: () => number = Math.random,
  ) {}

  async open(): Promise<void> {
    const socket = createSocket({ type: 'udp4', reuseAddr: true })
    this.socket = socket
    socket.on('message', (data, from) => this.heard(data.toString('utf8'), from.port, from.address))
    const port = this.table.discoveryPort ?? discoveryPort
    await new Promise<void>((done, fail) => {
      socket.once('error', fail)
      socket.bind(port, () => {
        socket.addMembership(discoveryGroup, loopback)
        socket.setMulticastInterface(loopback)
        socket.setMulticastLoopback(true)
        done()
      })
    })
  }

  private heard(text: string, port: number, address: string): void {
    let message
    try {
      message = readDiscovery(text)
    } catch {
      return
    }
    if (message.kind !== 'probe' || this.answered.has(message.messageId)) return
    this.answered.add(message.messageId)
    if (!typesMatch(message.types, ['Device', 'NetworkVideoTransmitter'])) return
    for (const unit of this.units()) {
      const announcement = this.announce(unit)
      if (announcement)
        unit.world.clock.after(this.random() * 500, () =>
          this.send(probeMatch(id(), message.messageId, announcement), port, address),
        )
    }
  }

  private announce(unit: Unit) {
    const host = toWire(this.table, unit.memory.address)
    return unit.up && !unit.faults.networkCut && host
      ? unit.announcement(`http://${host}:${wirePort(this.table, 80)}${servicePaths.tds}`)
      : null
  }

  hello(unit: Unit): void {
    const announcement = this.announce(unit)
    if (announcement) this.send(hello(id(), announcement), this.table.discoveryPort ?? discoveryPort, discoveryGroup)
  }
  bye(unit: Unit): void {
    this.send(bye(id(), unit.announcement('').endpoint), this.table.discoveryPort ?? discoveryPort, discoveryGroup)
  }
  private send(text: string, port: number, address: string): void {
    this.socket?.send(Buffer.from(text), port, address, () => undefined)
  }
  close(): void {
    this.socket?.close()
    this.socket = null
  }
}

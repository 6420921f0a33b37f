import { createSocket, type Socket } from 'node:dgram'
import { timeReply, toWire, wirePort, type Clock, type NetTable } from '@rauta/protocols'

const ntpPort = 123

/** The client's time server. */
export class TimeServer {
  private socket: Socket | null = null
  constructor(
    private readonly table: NetTable,
    private readonly address: string,
    private readonly clock: Clock,
  ) {}

  async open(): Promise<void> {
    const host = toWire(this.table, this.address)
    if (host === null) throw new Error(`The time server ${this.address} is not on this site.`)
    const socket = createSocket('udp4')
    this.socket = socket
    socket.on('message', (question, from) => {
      const reply = timeReply(question, this.clock.now())
      if (reply) socket.send(reply, from.port, from.address)
    })
    await new Promise<void>((done, fail) => {
      socket.once('error', fail)
      socket.bind(wirePort(this.table, ntpPort), host, done)
    })
  }

  close(): void {
    this.socket?.close()
    this.socket = null
  }
}

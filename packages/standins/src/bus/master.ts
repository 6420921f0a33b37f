import { randomBytes } from 'node:crypto'
import type { Bits } from '@rauta/core'
import { MalformedError, osdp, type BusSeen } from '@rauta/protocols'
import type { World } from '../site/world'
import type { BusLine } from './line'

/** A reader that is asked and has nothing to tell is asked again after so long, ms. */
const pollMs = 2000
/** One that has something to tell is asked within so long: as soon as its turn comes on a line that is polled without a pause. */
const turnMs = 60
/** How long a reader has for its reply (from memory: 200 ms). */
const replyMs = 200
/** After somebody else spoke on the line they may go on for so long, ms. */
const lentMs = 1500
/** Speed of a line that nobody set otherwise. */
const usualSpeed = 9600

/** What the controller's memory keeps of its lines: the keys of their readers, by `port/address`. */
export type BusKeys = Record<string, string>

interface Asked {
  control: osdp.BusControl
  seen: BusSeen
  /** What it is told next is not before then. */
  again: (() => void) | null
  atWork: boolean
  /** Somebody else was let on the line: the channel has to be opened anew. */
  broken: boolean
  /** Share of its latest turns in which something came hurt. */
  hurtShare: number
}

/** A reader more of whose turns are hurt is told as such, though most of what it says arrives when it is asked again. */
const tooMuchHurt = 0.2
const weightOfOne = 0.2

/** The asking side of one bus of a controller: asks each reader that is wired to it, in turn, and hands on what they read. */
export class BusMaster {
  private readonly asked = new Map<number, Asked>()
  private running = false
  /** Somebody else talks on the line until then; whoever asks meanwhile breaks in on them. */
  private lentUntil = 0

  constructor(
    readonly port: string,
    readonly line: BusLine,
    private readonly world: World,
    private readonly board: {
      keys(): BusKeys
      /** Addresses that are wired to a door here. */
      wired(): number[]
      card(bits: Bits, address: number): void
      typed(keys: string, address: number): void
    },
  ) {}

  start(): void {
    this.running = true
    this.follow()
  }

  stop(): void {
    this.running = false
    for (const one of this.asked.values()) one.again?.()
    this.asked.clear()
  }

  /** The wiring or a key was altered: readers that are wired here or whose key it has are asked, others no more. */
  follow(): void {
    if (!this.running) return
    const keyed = Object.keys(this.board.keys()).filter((at) => at.startsWith(`${this.port}/`))
    const wired = new Set([...this.board.wired(), ...keyed.map((at) => Number(at.slice(at.lastIndexOf('/') + 1)))])
    for (const [address, one] of this.asked)
      if (!wired.has(address)) {
        one.again?.()
        this.asked.delete(address)
      }
    for (const address of wired)
      if (!this.asked.has(address)) {
        this.asked.set(address, {
          control: new osdp.BusControl(address, (bytes) => this.exchange(bytes, usualSpeed), drawn),
          seen: { port: this.port, address, state: 'unknown', asked: 0, garbled: 0 },
          again: null,
          atWork: false,
          broken: false,
          hurtShare: 0,
        })
        this.soon(address, turnMs)
      }
  }

  /** A key was given or taken: the channel is opened anew. */
  rekeyed(address: number): void {
    this.follow()
    const one = this.asked.get(address)
    if (!one) return
    one.broken = true
    this.soon(address, turnMs)
  }

  /** A reader has something to tell. */
  attention(address: number): void {
    this.soon(address, turnMs)
  }

  /** As it sees its readers. */
  seen(): BusSeen[] {
    return [...this.asked.values()].map((one) => one.seen)
  }

  /** Lets somebody else put bytes on the line. */
  async lend(bytes: Uint8Array, speed: number, waitMs: number): Promise<Uint8Array> {
    this.lentUntil = this.world.now() + lentMs
    const came = await this.exchange(bytes, speed, Math.min(waitMs, replyMs * 2))
    this.lentUntil = this.world.now() + lentMs
    // Whoever was talked to may have lost the channel that it had with this side.
    for (const one of this.asked.values()) one.broken = true
    return came
  }

  private exchange(bytes: Uint8Array, speed: number, waitMs = replyMs): Promise<Uint8Array> {
    return new Promise((resolve) => this.line.send(bytes, speed, waitMs, resolve))
  }

  private soon(address: number, ms: number): void {
    const one = this.asked.get(address)
    if (!one || !this.running) return
    one.again?.()
    one.again = this.world.after(ms, () => {
      one.again = null
      if (one.atWork) return this.soon(address, turnMs)
      const lent = this.lentUntil - this.world.now()
      if (lent > 0) return this.soon(address, lent)
      one.atWork = true
      void this.turn(address, one).finally(() => {
        one.atWork = false
        if (this.asked.get(address) === one && !one.again) this.soon(address, pollMs)
      })
    })
  }

  private async turn(address: number, one: Asked): Promise<void> {
    one.seen = { ...one.seen, asked: one.seen.asked + 1 }
    const { hurt } = one.control
    try {
      if (one.broken || !one.seen.identity || unsettled.has(one.seen.state)) await this.meet(address, one)
      const reply = await one.control.ask(osdp.commands.poll)
      one.seen = { ...one.seen, state: one.control.secured ? 'secured' : 'clear' }
      this.weigh(one, one.control.hurt - hurt)
      this.told(address, one, reply)
    } catch (error) {
      const code = error instanceof osdp.BusError ? error.code : 'garbled'
      if (!(error instanceof osdp.BusError || error instanceof MalformedError)) throw error
      // A lost channel is opened again before anything is said of the reader.
      if (code === 'channelLost' && !one.broken) {
        one.broken = true
        return this.soon(address, turnMs)
      }
      one.control.restart()
      one.seen = { ...one.seen, state: stateOf[code] ?? 'silent' }
      this.weigh(one, one.control.hurt - hurt)
    }
  }

  private weigh(one: Asked, hurt: number): void {
    one.hurtShare = one.hurtShare * (1 - weightOfOne) + (hurt > 0 ? weightOfOne : 0)
    const garbled = one.seen.garbled + hurt
    one.seen = { ...one.seen, garbled, ...(one.hurtShare > tooMuchHurt ? { state: 'garbled' } : {}) }
  }

  /** Opens the channel under the reader's key, where it was given one, and asks who it is. */
  private async meet(address: number, one: Asked): Promise<void> {
    const key = this.board.keys()[`${this.port}/${address}`]
    one.control.restart()
    if (key) await one.control.open(new Uint8Array(Buffer.from(key, 'hex')))
    const identity = osdp.busIdentity.read((await one.control.ask(osdp.commands.identify)).data)
    one.broken = false
    one.seen = { ...one.seen, identity }
  }

  private told(address: number, one: Asked, reply: osdp.BusReply): void {
    if (reply.code === osdp.replies.done) return
    if (reply.code === osdp.replies.card) this.board.card(osdp.cardRead.read(reply.data), address)
    else if (reply.code === osdp.replies.keys) this.board.typed(osdp.keysPressed.read(reply.data), address)
    else if (reply.code === osdp.replies.localStatus)
      one.seen = { ...one.seen, tamper: osdp.localStatus.read(reply.data).tamper }
    // There may be more.
    this.soon(address, turnMs)
  }
}

const unsettled: ReadonlySet<BusSeen['state']> = new Set(['unknown', 'silent', 'wrongKey', 'keyWanted'])
const stateOf: Readonly<Partial<Record<osdp.BusErrorCode, BusSeen['state']>>> = {
  silent: 'silent',
  busy: 'silent',
  garbled: 'garbled',
  refused: 'wrongKey',
  encryptionWanted: 'keyWanted',
  noSecureChannel: 'wrongKey',
  wrongKey: 'wrongKey',
  channelLost: 'garbled',
}
const drawn = (count: number): Uint8Array => new Uint8Array(randomBytes(count))

import { randomBytes } from 'node:crypto'
import type { Bits } from '@rauta/core'
import { MalformedError, osdp } from '@rauta/protocols'

const { blocks, commands, replies, refusals, sameBytes } = osdp

/** A reader on a bus as it is mounted: what its switches and its label say, and how its leads really end. */
export interface BusReaderFile {
  serial: string
  /** Id of its device sheet. */
  model: string
  vendor: string
  version: number
  firmware: string
  address: number
  speed: number
  /** Its address is set by switches: nobody sets it over the bus. */
  switches?: boolean
  /** Key that somebody gave it before, hex. */
  key?: string
  /** Its two data leads are on each other's screws. */
  dataSwapped?: boolean
  /** Its terminator is on. */
  terminator?: boolean
}

/** What it keeps when its power goes, and how hands have left it. */
export interface BusReaderMemory {
  address: number
  speed: number
  /** Its own key, hex; null while it has the one that everybody knows. */
  key: string | null
  dataSwapped: boolean
  terminator: boolean
}

type Reply = { code: number; data?: Uint8Array }
const done: Reply = { code: replies.done }
const refused = (reason: number): Reply => ({ code: replies.refused, data: Uint8Array.of(reason) })
const empty = new Uint8Array()
/** What each side draws for a session. */
const drawnBytes = 8

/** What waits to be told is no more than this: an unasked reader forgets what is older. */
const mostWaiting = 16

/** Firmware of a reader on an OSDP bus: it never speaks unasked. */
export class BusReader {
  memory: BusReaderMemory
  powered = true
  /** Times it was told to flash or sound. */
  shown = 0
  private sequence = 0
  private lastAsked: Uint8Array = empty
  private lastReply: Uint8Array | null = null
  private channel: osdp.SecureChannel | null = null
  /** Between challenge and cryptogram. */
  private opening: { keys: osdp.SessionKeys; asking: Uint8Array; answering: Uint8Array } | null = null
  private waiting: Reply[] = []
  private tampered = false

  constructor(
    readonly file: BusReaderFile,
    kept: BusReaderMemory | null,
    private readonly keep: (memory: BusReaderMemory) => void,
    /** It has something to tell. */
    private readonly attention: () => void = () => undefined,
  ) {
    this.memory = kept ?? {
      address: file.address,
      speed: file.speed,
      key: file.key ?? null,
      dataSwapped: file.dataSwapped ?? false,
      terminator: file.terminator ?? false,
    }
  }

  get address(): number {
    return this.memory.address
  }

  /** Hands at the unit: switches, leads, the jumper of its terminator. */
  hand(done: Partial<BusReaderMemory>): void {
    this.remember(done)
    this.restart()
  }
  private remember(now: Partial<BusReaderMemory>): void {
    this.memory = { ...this.memory, ...now }
    this.keep(this.memory)
  }

  present(bits: Bits): void {
    this.tell({ code: replies.card, data: osdp.cardRead.write(bits) })
  }
  type(keys: string): void {
    this.tell({ code: replies.keys, data: osdp.keysPressed.write(keys) })
  }
  tamper(open: boolean): void {
    this.tampered = open
    this.tell({ code: replies.localStatus, data: osdp.localStatus.write({ tamper: open, powerLow: false }) })
  }
  private tell(reply: Reply): void {
    this.waiting = [...this.waiting, reply].slice(-mostWaiting)
    this.attention()
  }

  power(on: boolean): void {
    this.powered = on
    this.restart()
    this.waiting = []
  }

  /** By hand, at the unit: the factory's key and speed, and its address where no switches say it. */
  reset(): void {
    this.hand({ key: null, speed: 9600, ...(this.file.switches ? {} : { address: 0 }) })
  }

  private restart(): void {
    this.sequence = 0
    this.channel = null
    this.opening = null
    this.lastReply = null
  }

  /** What it does with bytes that reach it as they were sent. @returns its reply, or nothing where they are not for it */
  hear(bytes: Uint8Array): Uint8Array | null {
    const frame = osdp.framesIn(bytes).frames.find((f) => !f.reply)
    if (!this.powered || !frame) return null
    if (frame.address !== this.address && frame.address !== osdp.broadcastAddress) return null
    if (frame.sequence === 0) this.restart()
    else if (this.lastReply && frame.sequence === this.sequence && sameBytes(bytes, this.lastAsked))
      return this.lastReply
    const out = this.framed(frame)
    this.sequence = frame.sequence
    this.lastAsked = bytes
    this.lastReply = out
    return out
  }

  private framed(frame: osdp.Received): Uint8Array {
    const address = this.address
    const bare = (reply: Reply, security: osdp.Frame['security'] = null) =>
      osdp.encodeFrame({
        address,
        reply: true,
        sequence: frame.sequence,
        security,
        code: reply.code,
        data: reply.data ?? empty,
      })
    const { security } = frame
    if (security && security.type < blocks.command) {
      const { reply, block } = this.handshake(frame, security.data[0] ?? 0)
      return bare(reply, block)
    }
    if (security) {
      const asked = this.unsealed(frame)
      const { channel } = this
      if (!asked || !channel) {
        this.restart()
        return bare(refused(refusals.encryptionWanted))
      }
      const reply = this.act(frame.code, asked)
      const data = reply.data ?? empty
      return osdp.encodeFrame(
        {
          address,
          reply: true,
          sequence: frame.sequence,
          security: { type: data.length ? blocks.sealedReply : blocks.reply, data: empty },
          code: reply.code,
          data: data.length ? channel.seal('reply', data) : data,
        },
        (covered) => channel.sign('reply', covered),
      )
    }
    const free: number[] = [commands.identify, commands.capabilities, commands.communication]
    if (this.memory.key !== null && !free.includes(frame.code)) return bare(refused(refusals.encryptionWanted))
    return bare(this.act(frame.code, frame.data))
  }

  private unsealed(frame: osdp.Received): Uint8Array | null {
    const sealed = frame.security?.type === blocks.sealedCommand
    const data = sealed ? (this.channel?.open('command', frame.data) ?? null) : frame.data
    return data && this.channel?.accepts('command', frame.covered, frame.mac) ? data : null
  }

  private handshake(
    frame: osdp.Received,
    which: number,
  ): { reply: Reply; block: { type: number; data: Uint8Array } | null } {
    const own = this.memory.key
    if (frame.code === commands.challenge) {
      this.channel = null
      if (frame.data.length !== drawnBytes) return { reply: refused(refusals.length), block: null }
      // A reader that has a key of its own doesn't open to the one that everybody knows.
      if ((which === 1) !== (own !== null)) return { reply: refused(refusals.notNow), block: null }
      const answering = new Uint8Array(randomBytes(8))
      const key = own === null ? osdp.defaultKey : new Uint8Array(Buffer.from(own, 'hex'))
      const keys = osdp.sessionKeys(key, frame.data)
      this.opening = { keys, asking: frame.data, answering }
      const unique = Buffer.from(this.file.serial.padStart(16, '0'), 'hex')
      return {
        reply: {
          code: replies.clientCryptogram,
          data: Uint8Array.from([...unique, ...answering, ...osdp.clientCryptogram(keys, frame.data, answering)]),
        },
        block: { type: blocks.clientCryptogram, data: Uint8Array.of(which) },
      }
    }
    const { opening } = this
    this.opening = null
    if (frame.code !== commands.serverCryptogram || !opening) return { reply: refused(refusals.sequence), block: null }
    const wanted = osdp.serverCryptogram(opening.keys, opening.asking, opening.answering)
    const right = sameBytes(frame.data, wanted)
    const first = right ? osdp.firstMac(opening.keys, wanted) : new Uint8Array(randomBytes(16))
    if (right) this.channel = new osdp.SecureChannel(opening.keys, first)
    return {
      reply: { code: replies.firstMac, data: first },
      block: { type: blocks.firstMac, data: Uint8Array.of(right ? 1 : 0xff) },
    }
  }

  private act(code: number, data: Uint8Array): Reply {
    try {
      return this.acted(code, data)
    } catch (error) {
      if (error instanceof MalformedError) return refused(refusals.length)
      throw error
    }
  }

  private acted(code: number, data: Uint8Array): Reply {
    switch (code) {
      case commands.poll:
        return this.waiting.shift() ?? done
      case commands.identify: {
        const { vendor, version, serial, firmware } = this.file
        return { code: replies.identity, data: osdp.busIdentity.write({ vendor, model: 1, version, serial, firmware }) }
      }
      case commands.capabilities:
        return {
          code: replies.capabilities,
          data: osdp.busCapabilities.write({
            cards: 1,
            lamps: 1,
            sounder: true,
            crc: true,
            secureChannel: true,
            defaultKey: this.memory.key === null,
            largest: 128,
            readers: 1,
          }),
        }
      case commands.localStatus:
        return { code: replies.localStatus, data: osdp.localStatus.write({ tamper: this.tampered, powerLow: false }) }
      case commands.lamp:
      case commands.sound:
        this.shown += 1
        return done
      case commands.communication:
        return this.setCommunication(data)
      case commands.key:
        return this.setKey(data)
      default:
        return refused(refusals.unknownCommand)
    }
  }

  /** It replies with what it will use from then on: its switches decide its address where it has some. */
  private setCommunication(data: Uint8Array): Reply {
    const wanted = osdp.busCommunication.read(data)
    const address = this.file.switches ? this.memory.address : wanted.address
    const known: readonly number[] = osdp.busSpeeds
    const speed = known.includes(wanted.speed) ? wanted.speed : this.memory.speed
    this.remember({ address, speed })
    return { code: replies.communication, data: osdp.busCommunication.write({ address, speed }) }
  }

  private setKey(data: Uint8Array): Reply {
    if (!this.channel) return refused(refusals.encryptionWanted)
    this.remember({ key: Buffer.from(osdp.keySetting.read(data)).toString('hex') })
    return done
  }
}

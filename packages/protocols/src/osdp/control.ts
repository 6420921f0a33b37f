import { clientCryptogram, defaultKey, firstMac, SecureChannel, serverCryptogram, sessionKeys } from './channel'
import { blocks, broadcastAddress, encodeFrame, framesIn, type Received } from './frame'
import { commands, refusals, replies } from './messages'

/** Why a device on a bus could not be talked to. */
export type BusErrorCode =
  /** Nothing came. */
  | 'silent'
  /** Something came, and no frame of it was sound: noise, another speed, or several at once. */
  | 'garbled'
  /** It understood and would not. */
  | 'refused'
  /** It wants to be talked to under its key only. */
  | 'encryptionWanted'
  /** It has no secure channel. */
  | 'noSecureChannel'
  /** Its key is another one. */
  | 'wrongKey'
  /** What came under the channel is not what the device sent, or the device has lost the channel. */
  | 'channelLost'
  | 'busy'

export class BusError extends Error {
  constructor(
    readonly code: BusErrorCode,
    /** Reason of a refusal, as the device gave it. */
    readonly reason = 0,
  ) {
    super(code)
  }
}

export interface BusReply {
  code: number
  data: Uint8Array
  /** Who replied: other than asked only where all were asked. */
  address: number
}

/** Sends bytes on a line and hands back whatever came on it within the time that a device has for its reply. */
export type Exchange = (bytes: Uint8Array) => Promise<Uint8Array>

/** So often a frame is sent in all, the same one, before a device counts as silent. */
const tries = 3

/** The asking side of a bus towards one device: sequence, repeats, and the secure channel where it is open. */
export class BusControl {
  private sequence = 0
  private channel: SecureChannel | null = null
  /** Times that something came and no frame of it was sound. */
  hurt = 0
  constructor(
    readonly address: number,
    private readonly exchange: Exchange,
    private readonly random: (count: number) => Uint8Array,
    private readonly triesOfOne = tries,
  ) {}

  get secured(): boolean {
    return this.channel !== null
  }

  /** The next frame begins anew, without a channel. */
  restart(): void {
    this.sequence = 0
    this.channel = null
  }

  /** Asks a device and waits for its reply. @throws BusError */
  async ask(code: number, data: Uint8Array = new Uint8Array()): Promise<BusReply> {
    const { channel } = this
    if (!channel) return await this.carry({ code, data, security: null })
    const sealed = data.length > 0
    return await this.carry({
      code,
      data: sealed ? channel.seal('command', data) : data,
      security: { type: sealed ? blocks.sealedCommand : blocks.command, data: new Uint8Array() },
    })
  }

  /**
   * Opens the secure channel.
   * @param key of the device; null for the one that everybody knows @throws BusError `wrongKey` where the device has another
   */
  async open(key: Uint8Array | null): Promise<void> {
    this.restart()
    const which = Uint8Array.of(key ? 1 : 0)
    const asking = this.random(8)
    const challenged = await this.carry({
      code: commands.challenge,
      data: asking,
      security: { type: blocks.challenge, data: which },
    })
    if (challenged.code !== replies.clientCryptogram || challenged.data.length < 32) throw new BusError('refused')
    const answering = challenged.data.subarray(8, 16)
    const keys = sessionKeys(key ?? defaultKey, asking)
    if (!sameBytes(challenged.data.subarray(16, 32), clientCryptogram(keys, asking, answering)))
      throw new BusError('wrongKey')
    const cryptogram = serverCryptogram(keys, asking, answering)
    const opened = await this.carry({
      code: commands.serverCryptogram,
      data: cryptogram,
      security: { type: blocks.serverCryptogram, data: which },
    })
    const first = firstMac(keys, cryptogram)
    if (opened.code !== replies.firstMac || !sameBytes(opened.data, first)) throw new BusError('wrongKey')
    this.channel = new SecureChannel(keys, first)
  }

  private async carry(sent: Pick<Received, 'code' | 'data' | 'security'>): Promise<BusReply> {
    const { channel } = this
    const signed = channel && sent.security && sent.security.type >= blocks.command
    const bytes = encodeFrame(
      { ...sent, address: this.address, reply: false, sequence: this.sequence },
      signed ? (covered) => channel.sign('command', covered) : undefined,
    )
    const came = await this.replyTo(bytes)
    this.sequence = (this.sequence % 3) + 1
    if (came.code === replies.refused) this.refuse(came.data[0] ?? 0)
    if (!signed) return came
    return { ...came, data: this.unsealed(channel, came) }
  }

  private unsealed(channel: SecureChannel, came: Received): Uint8Array {
    const sealed = came.security?.type === blocks.sealedReply
    // The data were sealed before the MAC was made over them: they are opened by the MAC before.
    const data = sealed ? channel.open('reply', came.data) : came.data
    if (data && channel.accepts('reply', came.covered, came.mac)) return data
    this.restart()
    throw new BusError('channelLost')
  }

  private refuse(reason: number): never {
    if (reason === refusals.encryptionWanted || reason === refusals.sequence) {
      const had = this.secured
      this.restart()
      throw new BusError(reason === refusals.sequence || had ? 'channelLost' : 'encryptionWanted', reason)
    }
    throw new BusError(reason === refusals.noSecureChannel ? 'noSecureChannel' : 'refused', reason)
  }

  private async replyTo(bytes: Uint8Array): Promise<Received> {
    let heard: BusErrorCode = 'silent'
    for (let i = 0; i < this.triesOfOne; i++) {
      const { frames, noise } = framesIn(await this.exchange(bytes))
      const reply = frames.find((f) => f.reply && (f.address === this.address || this.address === broadcastAddress))
      // Two that answer with sound frames, one after the other, are not one device.
      const several = frames.filter((f) => f.reply).length > 1
      if (reply && !several) {
        if (reply.code !== replies.busy) return reply
        heard = 'busy'
      } else if (frames.length || noise) {
        heard = 'garbled'
        this.hurt += 1
      }
    }
    throw new BusError(heard)
  }
}

/** Whether bytes are the same. */
export const sameBytes = (a: Uint8Array, b: Uint8Array): boolean => Buffer.compare(a, b) === 0

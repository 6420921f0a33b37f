import { createCipheriv, createDecipheriv } from 'node:crypto'

const blockBytes = 16

/** The key that every device leaves the factory with: no secret at all (from memory). */
export const defaultKey = Uint8Array.from({ length: 16 }, (_, i) => 0x30 + i)

const oneBlock = (key: Uint8Array, block: Uint8Array): Uint8Array => {
  const cipher = createCipheriv('aes-128-ecb', key, null).setAutoPadding(false)
  return new Uint8Array(Buffer.concat([cipher.update(block), cipher.final()]))
}
const xored = (a: Uint8Array, b: Uint8Array): Uint8Array => a.map((byte, i) => byte ^ (b[i] ?? 0))
/** Padded with a one and noughts up to whole blocks. @param always a whole block more where it is one already */
const padded = (data: Uint8Array, always: boolean): Uint8Array => {
  if (!always && data.length > 0 && data.length % blockBytes === 0) return data
  const whole = new Uint8Array((Math.floor(data.length / blockBytes) + 1) * blockBytes)
  whole.set(data)
  whole[data.length] = 0x80
  return whole
}

/** Keys of one session, worked out from the device's key and what the asking side drew. */
export interface SessionKeys {
  seal: Uint8Array
  mac1: Uint8Array
  mac2: Uint8Array
}

/** @param drawn eight bytes that the asking side drew */
export function sessionKeys(key: Uint8Array, drawn: Uint8Array): SessionKeys {
  const derived = (second: number) => {
    const block = new Uint8Array(blockBytes)
    block.set([0x01, second, ...drawn.subarray(0, 6)])
    return oneBlock(key, block)
  }
  return { seal: derived(0x82), mac1: derived(0x01), mac2: derived(0x02) }
}

/** By which the device shows that it has the key. @param asking @param answering eight drawn bytes of each side */
export const clientCryptogram = (keys: SessionKeys, asking: Uint8Array, answering: Uint8Array): Uint8Array =>
  oneBlock(keys.seal, Uint8Array.from([...asking, ...answering]))
/** By which the asking side shows that it has the key. */
export const serverCryptogram = (keys: SessionKeys, asking: Uint8Array, answering: Uint8Array): Uint8Array =>
  oneBlock(keys.seal, Uint8Array.from([...answering, ...asking]))
/** What the first command's MAC is chained to. */
export const firstMac = (keys: SessionKeys, cryptogram: Uint8Array): Uint8Array =>
  oneBlock(keys.mac2, oneBlock(keys.mac1, cryptogram))

/** MAC of a frame: a chain of blocks in which the last has a key of its own. @param chained MAC of the frame before, from the other side */
export function macOf(keys: SessionKeys, covered: Uint8Array, chained: Uint8Array): Uint8Array {
  const whole = padded(covered, false)
  let mac = chained
  for (let at = 0; at < whole.length; at += blockBytes) {
    const last = at + blockBytes === whole.length
    mac = oneBlock(last ? keys.mac2 : keys.mac1, xored(whole.subarray(at, at + blockBytes), mac))
  }
  return mac
}

type Side = 'command' | 'reply'
const other = { command: 'reply', reply: 'command' } as const

/** An open secure channel, the same on both sides: every frame's MAC is chained to the one before. */
export class SecureChannel {
  private readonly last: Record<Side, Uint8Array>
  constructor(
    private readonly keys: SessionKeys,
    first: Uint8Array,
  ) {
    this.last = { command: first, reply: first }
  }

  /** MAC of a frame of one's own, which then counts. */
  sign(side: Side, covered: Uint8Array): Uint8Array {
    const mac = macOf(this.keys, covered, this.last[other[side]])
    this.last[side] = mac
    return mac
  }

  /** Whether a frame of the other side is what it was when it was sent; then it counts. */
  accepts(side: Side, covered: Uint8Array, mac: Uint8Array | null): boolean {
    const whole = macOf(this.keys, covered, this.last[other[side]])
    if (!mac || !mac.every((byte, i) => byte === whole[i])) return false
    this.last[side] = whole
    return true
  }

  seal(side: Side, data: Uint8Array): Uint8Array {
    const cipher = createCipheriv('aes-128-cbc', this.keys.seal, this.startOf(side)).setAutoPadding(false)
    return new Uint8Array(Buffer.concat([cipher.update(padded(data, true)), cipher.final()]))
  }

  /** Null for what was not sealed here. */
  open(side: Side, sealed: Uint8Array): Uint8Array | null {
    if (sealed.length === 0 || sealed.length % blockBytes) return null
    const cipher = createDecipheriv('aes-128-cbc', this.keys.seal, this.startOf(side)).setAutoPadding(false)
    const plain = new Uint8Array(Buffer.concat([cipher.update(sealed), cipher.final()]))
    const end = plain.lastIndexOf(0x80)
    return end < 0 || plain.subarray(end + 1).some((byte) => byte !== 0) ? null : plain.slice(0, end)
  }

  /** The block before the first: the other side's last MAC, turned over. */
  private startOf(side: Side): Uint8Array {
    return this.last[other[side]].map((byte) => byte ^ 0xff)
  }
}

import { checksum, crc16 } from './crc'

const startByte = 0x53
const replyBit = 0x80
const crcBit = 0x04
const securityBit = 0x08
const macBytes = 4
const headBytes = 5
/** No frame is longer; what says so is noise (from memory: 1440 bytes). */
export const longestFrame = 1440

/** Every device answers to it, so only one may hang on the line that is asked by it. */
export const broadcastAddress = 0x7f

/** What the security block of a frame says it is (from memory). */
export const blocks = {
  challenge: 0x11,
  clientCryptogram: 0x12,
  serverCryptogram: 0x13,
  firstMac: 0x14,
  command: 0x15,
  reply: 0x16,
  sealedCommand: 0x17,
  sealedReply: 0x18,
} as const

/** Types of block whose frames end in a MAC. */
const underMac: ReadonlySet<number> = new Set([blocks.command, blocks.reply, blocks.sealedCommand, blocks.sealedReply])

export interface Frame {
  /** 0 to 126, or 127 for all. */
  address: number
  /** Whether it comes from the device. */
  reply: boolean
  /** 0 begins anew, then 1, 2, 3, 1 … */
  sequence: number
  security: { type: number; data: Uint8Array } | null
  /** Of the command or of the reply. */
  code: number
  data: Uint8Array
}

/** A sound frame as it came, with what its MAC stands over. */
export interface Received extends Frame {
  covered: Uint8Array
  mac: Uint8Array | null
}

/**
 * Bytes of a frame, with a CRC.
 * @param macOver makes the MAC of what comes before it; wanted where the security block says so
 */
export function encodeFrame(frame: Frame, macOver?: (covered: Uint8Array) => Uint8Array): Uint8Array {
  const { security, data } = frame
  const block = security ? [security.data.length + 2, security.type, ...security.data] : []
  const length = headBytes + block.length + 1 + data.length + (macOver ? macBytes : 0) + 2
  const control = (frame.sequence & 3) | crcBit | (security ? securityBit : 0)
  const address = (frame.address & 0x7f) | (frame.reply ? replyBit : 0)
  const covered = Uint8Array.from([
    startByte,
    address,
    length & 0xff,
    length >> 8,
    control,
    ...block,
    frame.code,
    ...data,
  ])
  const body = macOver ? Uint8Array.from([...covered, ...macOver(covered).subarray(0, macBytes)]) : covered
  const crc = crc16(body)
  return Uint8Array.from([...body, crc & 0xff, crc >> 8])
}

/** The sound frames in what came on a line, and how many bytes besides were none of them. */
export function framesIn(bytes: Uint8Array): { frames: Received[]; noise: number } {
  const frames: Received[] = []
  let noise = 0
  for (let at = 0; at < bytes.length;) {
    const frame = bytes[at] === startByte ? frameAt(bytes.subarray(at)) : null
    if (frame) {
      frames.push(frame.frame)
      at += frame.length
    } else {
      // Lines are marked with ones between frames; that is no noise.
      if (bytes[at] !== 0xff) noise += 1
      at += 1
    }
  }
  return { frames, noise }
}

function frameAt(bytes: Uint8Array): { frame: Received; length: number } | null {
  if (bytes.length < headBytes) return null
  const [, address = 0, low = 0, high = 0, control = 0] = bytes
  const length = low | (high << 8)
  const checkBytes = control & crcBit ? 2 : 1
  if (length > longestFrame || length > bytes.length || length < headBytes + 1 + checkBytes) return null
  const body = bytes.subarray(0, length - checkBytes)
  const check = bytes[length - checkBytes] as number
  const sound =
    checkBytes === 2 ? crc16(body) === (check | ((bytes[length - 1] as number) << 8)) : checksum(body) === check
  if (!sound) return null
  const content = contentOf(body, (control & securityBit) !== 0)
  return (
    content && {
      length,
      frame: { address: address & 0x7f, reply: (address & replyBit) !== 0, sequence: control & 3, ...content },
    }
  )
}

function contentOf(body: Uint8Array, secured: boolean): Omit<Received, 'address' | 'reply' | 'sequence'> | null {
  let at = headBytes
  let security: Frame['security'] = null
  if (secured) {
    const size = body[at] ?? 0
    if (size < 2 || at + size >= body.length) return null
    security = { type: body[at + 1] as number, data: body.slice(at + 2, at + size) }
    at += size
  }
  const end = security && underMac.has(security.type) ? body.length - macBytes : body.length
  if (at >= end) return null
  return {
    security,
    code: body[at] as number,
    data: body.slice(at + 1, end),
    covered: body.slice(0, end),
    mac: end === body.length ? null : body.slice(end),
  }
}

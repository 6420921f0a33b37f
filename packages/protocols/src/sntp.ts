/** Seconds from 1900, where NTP counts from, to 1970. */
const epochS = 2_208_988_800
const packetBytes = 48
/** A stamp is 32 bits of seconds and 32 of their fraction. */
const wrap = 2 ** 32

/** What a time server says, RFC 5905 (simple use of it: RFC 4330). */
export interface TimeAnswer {
  /** Of the server's clock less ours, ms, the round trip halved. */
  offsetMs: number
  roundTripMs: number
  /** 1 for a clock of its own, more for one that asks another; 16 and up is not in step. */
  stratum: number
}

const stampOf = (bytes: DataView, at: number): number =>
  (bytes.getUint32(at) - epochS) * 1000 + (bytes.getUint32(at + 4) / wrap) * 1000

function putStamp(bytes: DataView, at: number, ms: number): void {
  const seconds = Math.floor(ms / 1000)
  bytes.setUint32(at, (seconds + epochS) % wrap)
  bytes.setUint32(at + 4, Math.floor(((ms - seconds * 1000) / 1000) * wrap) % wrap)
}

/** A question of a client, version 4. @param sentMs our clock, ms since 1970 */
export function timeQuestion(sentMs: number): Uint8Array {
  const packet = new Uint8Array(packetBytes)
  packet[0] = (4 << 3) | 3
  putStamp(new DataView(packet.buffer), 40, sentMs)
  return packet
}

/**
 * What an answer says; null for what is none to this question: too short, of another mode, or to another question (its originate stamp must be ours).
 * A server that refuses ("kiss-o'-death", stratum 0) has no time to give either.
 */
export function timeAnswer(
  question: Uint8Array,
  answer: Uint8Array,
  sentMs: number,
  cameMs: number,
): TimeAnswer | null {
  if (answer.length < packetBytes) return null
  const mode = (answer[0] ?? 0) & 7
  const stratum = answer[1] ?? 0
  if (mode !== 4 || stratum === 0) return null
  for (let i = 0; i < 8; i++) if (answer[24 + i] !== question[40 + i]) return null
  const bytes = new DataView(answer.buffer, answer.byteOffset, answer.byteLength)
  const [received, sentBack] = [stampOf(bytes, 32), stampOf(bytes, 40)]
  return {
    offsetMs: (received - sentMs + (sentBack - cameMs)) / 2,
    roundTripMs: cameMs - sentMs - (sentBack - received),
    stratum,
  }
}

/** A server's answer. @param nowMs its clock, ms since 1970; null for a question that is none */
export function timeReply(question: Uint8Array, nowMs: number, stratum = 2): Uint8Array | null {
  if (question.length < packetBytes || ((question[0] ?? 0) & 7) !== 3) return null
  const packet = new Uint8Array(packetBytes)
  packet[0] = ((question[0] ?? 0) & 0x38) | 4
  packet[1] = stratum
  packet.set(question.subarray(40, 48), 24)
  const bytes = new DataView(packet.buffer)
  putStamp(bytes, 16, nowMs)
  putStamp(bytes, 32, nowMs)
  putStamp(bytes, 40, nowMs)
  return packet
}

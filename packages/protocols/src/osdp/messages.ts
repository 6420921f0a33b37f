import type { Bits } from '@rauta/core'
import { MalformedError } from '../xml'

/** Codes of commands (from memory of IEC 60839-11-5). */
export const commands = {
  poll: 0x60,
  identify: 0x61,
  capabilities: 0x62,
  localStatus: 0x64,
  lamp: 0x69,
  sound: 0x6a,
  communication: 0x6e,
  key: 0x75,
  challenge: 0x76,
  serverCryptogram: 0x77,
} as const

/** Codes of replies (from memory of IEC 60839-11-5). */
export const replies = {
  done: 0x40,
  refused: 0x41,
  identity: 0x45,
  capabilities: 0x46,
  localStatus: 0x48,
  card: 0x50,
  keys: 0x53,
  communication: 0x54,
  clientCryptogram: 0x76,
  firstMac: 0x78,
  busy: 0x79,
} as const

/** Why a device refuses a command. */
export const refusals = {
  check: 1,
  length: 2,
  unknownCommand: 3,
  sequence: 4,
  noSecureChannel: 5,
  encryptionWanted: 6,
  notNow: 9,
} as const

/** Bits a second at which these lines are run (from memory: 9600 from the factory). */
export const busSpeeds = [9600, 19200, 38400, 57600, 115200, 230400] as const

const bytesAt = (data: Uint8Array, from: number, count: number): Uint8Array => {
  if (data.length < from + count) throw new MalformedError('A reply on the bus is shorter than it must be.')
  return data.subarray(from, from + count)
}
/** Pairs of hexadecimal digits. */
export const hexOf = (bytes: Uint8Array): string => Buffer.from(bytes).toString('hex').toUpperCase()
const littleEndian = (bytes: Uint8Array): number => bytes.reduceRight((sum, byte) => sum * 256 + byte, 0)
const inLittleEndian = (value: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => Math.floor(value / 256 ** i) % 256)

/** Who a device on a bus says it is. */
export interface BusIdentity {
  /** Six hexadecimal digits: the maker's registered number. */
  vendor: string
  model: number
  version: number
  /** Eight hexadecimal digits. */
  serial: string
  firmware: string
}

export const busIdentity = {
  write: ({ vendor, model, version, serial, firmware }: BusIdentity): Uint8Array =>
    Uint8Array.from([
      ...Buffer.from(vendor, 'hex'),
      model,
      version,
      ...[...Buffer.from(serial, 'hex')].reverse(),
      ...firmware.split('.').map(Number),
    ]),
  /** @throws MalformedError */
  read(data: Uint8Array): BusIdentity {
    bytesAt(data, 0, 12)
    return {
      vendor: hexOf(data.subarray(0, 3)),
      model: data[3] as number,
      version: data[4] as number,
      serial: hexOf(Uint8Array.from(data.subarray(5, 9)).reverse()),
      firmware: [...data.subarray(9, 12)].join('.'),
    }
  },
}

/** What a device says it can do, as far as it matters here. */
export interface BusCapabilities {
  /** Cards as bits: 1, as digits: 2, either: 3; nought where it reads none. */
  cards: number
  /** Lamps that can be told. */
  lamps: number
  sounder: boolean
  crc: boolean
  /** Talks so that nobody listens, under AES-128. */
  secureChannel: boolean
  /** Still opens to the key that everybody knows. */
  defaultKey: boolean
  /** Largest frame that it takes, bytes; nought where it does not say. */
  largest: number
  readers: number
}

const functions = { cards: 3, lamps: 4, sounder: 5, check: 8, security: 9, buffer: 10, readers: 13 } as const

export const busCapabilities = {
  write: (c: BusCapabilities): Uint8Array =>
    Uint8Array.from(
      [
        [functions.cards, c.cards, 0],
        [functions.lamps, c.lamps ? 1 : 0, c.lamps],
        [functions.sounder, c.sounder ? 1 : 0, c.sounder ? 1 : 0],
        [functions.check, c.crc ? 1 : 0, 0],
        [functions.security, c.secureChannel ? 1 : 0, c.defaultKey ? 1 : 0],
        [functions.buffer, ...inLittleEndian(c.largest, 2)],
        [functions.readers, c.readers ? 1 : 0, c.readers],
      ].flat(),
    ),
  /** @throws MalformedError where it is not a list of threes */
  read(data: Uint8Array): BusCapabilities {
    if (data.length % 3) throw new MalformedError('What the device says it can do comes in threes, and these are none.')
    const told = new Map<number, [compliance: number, number: number]>()
    for (let at = 0; at < data.length; at += 3)
      told.set(data[at] as number, [data[at + 1] as number, data[at + 2] as number])
    const of = (code: number) => told.get(code) ?? [0, 0]
    return {
      cards: of(functions.cards)[0],
      lamps: of(functions.lamps)[1],
      sounder: of(functions.sounder)[0] > 0,
      crc: of(functions.check)[0] > 0,
      secureChannel: (of(functions.security)[0] & 1) > 0,
      defaultKey: (of(functions.security)[1] & 1) > 0,
      largest: littleEndian(Uint8Array.from(of(functions.buffer))),
      readers: of(functions.readers)[1],
    }
  },
}

/** Address and speed of a device on a bus. */
export interface BusCommunication {
  address: number
  speed: number
}
export const busCommunication = {
  write: ({ address, speed }: BusCommunication): Uint8Array => Uint8Array.from([address, ...inLittleEndian(speed, 4)]),
  /** @throws MalformedError */
  read: (data: Uint8Array): BusCommunication => ({
    address: bytesAt(data, 0, 5)[0] as number,
    speed: littleEndian(data.subarray(1, 5)),
  }),
}

/** What a reader read, bit by bit as it came from the card. */
export const cardRead = {
  write: (bits: Bits): Uint8Array => {
    const packed = new Uint8Array(Math.ceil(bits.length / 8))
    bits.forEach((bit, i) => {
      if (bit) packed[i >> 3] = (packed[i >> 3] as number) | (0x80 >> (i & 7))
    })
    return Uint8Array.from([0, 0, ...inLittleEndian(bits.length, 2), ...packed])
  },
  /** @throws MalformedError */
  read(data: Uint8Array): Bits {
    const count = littleEndian(bytesAt(data, 2, 2))
    const packed = bytesAt(data, 4, Math.ceil(count / 8))
    return Array.from({ length: count }, (_, i) => (((packed[i >> 3] as number) >> (7 - (i & 7))) & 1) as 0 | 1)
  },
}

const cleared = 0x7f
const ended = 0x0d
/** Keys that were pressed: digits as characters, the star as delete and the hash as return (from memory of IEC 60839-11-5). */
export const keysPressed = {
  write: (keys: string): Uint8Array =>
    Uint8Array.from([0, keys.length, ...[...keys].map((k) => ({ '*': cleared, '#': ended })[k] ?? k.charCodeAt(0))]),
  /** @throws MalformedError where there are fewer than it says, or one is no key */
  read(data: Uint8Array): string {
    const count = bytesAt(data, 1, 1)[0] as number
    return [...bytesAt(data, 2, count)]
      .map((byte) => {
        if (byte === cleared) return '*'
        if (byte === ended) return '#'
        if (byte < 0x30 || byte > 0x39) throw new MalformedError('A keypad told of a key that is none.')
        return String.fromCharCode(byte)
      })
      .join('')
  },
}

/** Tamper and power of a device: true where something is wrong. */
export interface LocalStatus {
  tamper: boolean
  powerLow: boolean
}
export const localStatus = {
  write: (s: LocalStatus): Uint8Array => Uint8Array.of(s.tamper ? 1 : 0, s.powerLow ? 1 : 0),
  /** @throws MalformedError */
  read: (data: Uint8Array): LocalStatus => {
    const [tamper, power] = bytesAt(data, 0, 2)
    return { tamper: tamper !== 0, powerLow: power !== 0 }
  },
}

const keyType = 1
/** A new key for a device. */
export const keySetting = {
  write: (key: Uint8Array): Uint8Array => Uint8Array.from([keyType, key.length, ...key]),
  /** @throws MalformedError for a key of another kind or length */
  read(data: Uint8Array): Uint8Array {
    const [type, length] = bytesAt(data, 0, 2)
    if (type !== keyType || length !== 16) throw new MalformedError('A key on the bus has 16 bytes.')
    return Uint8Array.from(bytesAt(data, 2, 16))
  },
}

/** Has the first lamp of a reader turn amber and dark, tenths of a second each, and go back after so many. */
export const lampFlash = (onTenths: number, offTenths: number, allTenths: number): Uint8Array =>
  Uint8Array.from([0, 0, 2, onTenths, offTenths, 3, 0, ...inLittleEndian(allTenths, 2), 0, 0, 0, 0, 0])
/** Has a reader sound so often, tenths of a second on and off. */
export const soundBeeps = (onTenths: number, offTenths: number, times: number): Uint8Array =>
  Uint8Array.of(0, 2, onTenths, offTenths, times)

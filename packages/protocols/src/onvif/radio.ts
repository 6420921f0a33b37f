import { createCipheriv } from 'node:crypto'
import { hexOf } from '../osdp'
import type { Element, Markup } from '../xml'
import { child, el, elements, MalformedError, needed, textOf } from '../xml'
import { cxText, optional, type EntityCodec } from './entities'

/** Bytes of a radio key. */
export const radioKeyBytes = 16

/**
 * Short word for a key by which two sides tell whether they have the same one: three bytes of a block of noughts under AES-128
 * (key check value; common practice, no source). @throws MalformedError for a key of another length
 */
export function keyCheck(key: Uint8Array): string {
  if (key.length !== radioKeyBytes) throw new MalformedError(`A radio key has ${radioKeyBytes} bytes.`)
  const cipher = createCipheriv('aes-128-ecb', key, null).setAutoPadding(false)
  return hexOf(new Uint8Array(cipher.update(Buffer.alloc(16)).subarray(0, 3)))
}

/** A lock as its hub hears it. */
export interface LockHeard {
  place: number
  serial: string
  /** Id of its device sheet, as it tells it. */
  model: string
  firmware: string
  joined: boolean
  /** dBm at the hub. */
  signal: number
  batteryLow: boolean
}

/** A hub as its controller sees it. */
export interface HubSeen {
  address: number
  serial: string
  model: string
  firmware: string
  /** Check value of the radio key that it has; empty while it has none. */
  keyCheck: string
  /** Place for which it waits for a lock; none while it waits for none. */
  pairing?: number
  locks: LockHeard[]
}

const whole = (e: Element, name: string): number => {
  const value = Number(needed(e, name))
  if (!Number.isInteger(value)) throw new MalformedError(`${name} is no whole number.`)
  return value
}

const writeLock = (l: LockHeard): Markup =>
  el(
    'cx:Lock',
    el('cx:Place', l.place),
    el('cx:Serial', l.serial),
    el('cx:Model', l.model),
    el('cx:Firmware', l.firmware),
    el('cx:Joined', l.joined),
    el('cx:Signal', l.signal),
    el('cx:BatteryLow', l.batteryLow),
  )
const readLock = (e: Element): LockHeard => ({
  place: whole(e, 'Place'),
  serial: needed(e, 'Serial'),
  model: textOf(e, 'Model'),
  firmware: textOf(e, 'Firmware'),
  joined: textOf(e, 'Joined') === 'true',
  signal: whole(e, 'Signal'),
  batteryLow: textOf(e, 'BatteryLow') === 'true',
})

/** A hub in an answer of the extension's GetRadio. */
export const hubSeen = {
  write: (h: HubSeen): Markup =>
    el(
      'cx:Hub',
      el('cx:Address', h.address),
      el('cx:Serial', h.serial),
      el('cx:Model', h.model),
      el('cx:Firmware', h.firmware),
      el('cx:KeyCheck', h.keyCheck),
      h.pairing === undefined ? null : el('cx:Pairing', h.pairing),
      h.locks.map(writeLock),
    ),
  /** @throws MalformedError */
  read: (e: Element): HubSeen => ({
    address: whole(e, 'Address'),
    serial: needed(e, 'Serial'),
    model: textOf(e, 'Model'),
    firmware: textOf(e, 'Firmware'),
    keyCheck: textOf(e, 'KeyCheck'),
    ...optional('pairing', textOf(e, 'Pairing'), Number),
    locks: elements(e, 'Lock').map(readLock),
  }),
}
export const hubsSeen = (e: Element): HubSeen[] => elements(e, 'Hub').map(hubSeen.read)

const keyPattern = new RegExp(`^[0-9A-F]{${radioKeyBytes * 2}}$`, 'i')

/** The radio key of a hub. Never read back. */
export const hubKey = {
  write: (address: number, key: Uint8Array): Markup =>
    el('cx:SetRadioKey', el('cx:Address', address), el('cx:Key', hexOf(key))),
  /** @throws MalformedError */
  read(e: Element): { address: number; key: Uint8Array } {
    const key = needed(e, 'Key')
    if (!keyPattern.test(key)) throw new MalformedError(`A radio key is ${radioKeyBytes * 2} hexadecimal digits.`)
    return { address: whole(e, 'Address'), key: new Uint8Array(Buffer.from(key, 'hex')) }
  },
}

/** A place at a hub, for what is done with it: `PairLock`, `EndPairing`, `RemoveLock`, `BlinkHub`. */
export const hubPlace = {
  write: (operation: string, address: number, place?: number): Markup =>
    el(`cx:${operation}`, el('cx:Address', address), place === undefined ? null : el('cx:Place', place)),
  /** @throws MalformedError */
  read: (e: Element): { address: number; place: number } => ({
    address: whole(e, 'Address'),
    place: textOf(e, 'Place') === '' ? 0 : whole(e, 'Place'),
  }),
}

/** What a wireless lock keeps: type of the standby credential’s format, and its value. */
export interface LockKeeps {
  format?: string
  standby?: string
}

/** What one wireless lock of a door keeps for itself. */
export interface RadioLockSettings extends LockKeeps {
  part: string
  port: string
  /** It was sent this instead, and takes it while a hand is at the lock. Only ever read. */
  sent?: LockKeeps
}
const keepsMarkup = ({ format, standby }: LockKeeps) => [cxText('Format', format), cxText('Standby', standby)]
const readKeeps = (e: Element): LockKeeps => ({
  ...optional('format', textOf(e, 'Format'), String),
  ...optional('standby', textOf(e, 'Standby'), String),
})
const readSent = (e: Element | null | undefined) => (e ? { sent: readKeeps(e) } : {})

export interface DoorRadio {
  token: string
  locks: RadioLockSettings[]
}

/** Extension: what the wireless locks of a door keep, set by what they shall keep and listed by what they do. */
export const doorRadioCodec: EntityCodec<DoorRadio> = {
  service: 'cx',
  name: 'DoorRadio',
  list: 'GetDoorRadioList',
  write: (d) =>
    el(
      'cx:DoorRadio',
      { token: d.token },
      d.locks.map((l) =>
        el(
          'cx:WirelessLock',
          el('cx:Part', l.part),
          el('cx:Port', l.port),
          keepsMarkup(l),
          l.sent ? el('cx:Sent', keepsMarkup(l.sent)) : null,
        ),
      ),
    ),
  read: (e) => ({
    token: e.getAttribute('token') ?? '',
    locks: elements(e, 'WirelessLock').map((l) => ({
      part: needed(l, 'Part'),
      port: textOf(l, 'Port'),
      ...readKeeps(l),
      ...readSent(child(l, 'Sent')),
    })),
  }),
}

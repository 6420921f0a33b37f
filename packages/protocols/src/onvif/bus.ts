import { hexOf, type BusIdentity } from '../osdp'
import type { Element, Markup } from '../xml'
import { child, el, elements, MalformedError, needed, textOf } from '../xml'

/** How a controller sees a device on one of its buses. */
export const busStates = [
  /** Not asked yet. */
  'unknown',
  'silent',
  'garbled',
  /** It answers to anybody. */
  'clear',
  /** It answers under the key that the controller was given. */
  'secured',
  /** It has another key than the controller was given. */
  'wrongKey',
  /** It has a key, and the controller was given none. */
  'keyWanted',
] as const
export type BusState = (typeof busStates)[number]

export interface BusSeen {
  port: string
  address: number
  state: BusState
  identity?: BusIdentity
  tamper?: boolean
  /** Since the controller was started. */
  asked: number
  garbled: number
}

const whole = (e: Element, ...path: string[]): number => {
  const value = Number(needed(e, ...path))
  if (!Number.isInteger(value) || value < 0) throw new MalformedError(`${path.at(-1) ?? ''} is no number of things.`)
  return value
}

/** A device on a bus in an answer of the extension's GetBusDevices. */
export const busSeen = {
  write: ({ port, address, state, identity, tamper, asked, garbled }: BusSeen): Markup =>
    el(
      'cx:BusDevice',
      el('cx:Port', port),
      el('cx:Address', address),
      el('cx:State', state),
      identity
        ? el(
            'cx:Identity',
            el('cx:Vendor', identity.vendor),
            el('cx:Model', identity.model),
            el('cx:Version', identity.version),
            el('cx:Serial', identity.serial),
            el('cx:Firmware', identity.firmware),
          )
        : null,
      tamper === undefined ? null : el('cx:Tamper', tamper),
      el('cx:Asked', asked),
      el('cx:Garbled', garbled),
    ),
  /** @throws MalformedError */
  read(e: Element): BusSeen {
    const said = needed(e, 'State')
    const state = busStates.find((s) => s === said)
    if (!state) throw new MalformedError(`A device on a bus is in no state called ${said}.`)
    const identity = child(e, 'Identity')
    const tamper = textOf(e, 'Tamper')
    return {
      port: needed(e, 'Port'),
      address: whole(e, 'Address'),
      state,
      ...(identity
        ? {
            identity: {
              vendor: needed(identity, 'Vendor'),
              model: whole(identity, 'Model'),
              version: whole(identity, 'Version'),
              serial: needed(identity, 'Serial'),
              firmware: needed(identity, 'Firmware'),
            },
          }
        : {}),
      ...(tamper ? { tamper: tamper === 'true' } : {}),
      asked: whole(e, 'Asked'),
      garbled: whole(e, 'Garbled'),
    }
  },
}

/** Bytes that somebody else wants to have sent on a bus, and for how long what comes is waited for. */
export interface BusLoan {
  port: string
  speed: number
  waitMs: number
  bytes: Uint8Array
}

/** No reply is as long; what is longer is not looked through. */
const mostBytes = 4096
/** @throws MalformedError */
function bytesOfHex(text: string): Uint8Array {
  if (text.length > mostBytes * 2)
    throw new MalformedError(`So many bytes never come at once on a bus: at most ${mostBytes}.`)
  if (!/^([0-9A-F]{2})*$/i.test(text)) throw new MalformedError('Bytes are written as pairs of hexadecimal digits.')
  return new Uint8Array(Buffer.from(text, 'hex'))
}

export const busLoan = {
  write: ({ port, speed, waitMs, bytes }: BusLoan): Markup =>
    el(
      'cx:ExchangeOnBus',
      el('cx:Port', port),
      el('cx:Speed', speed),
      el('cx:WaitMs', waitMs),
      el('cx:Bytes', hexOf(bytes)),
    ),
  /** @throws MalformedError */
  read: (e: Element): BusLoan => ({
    port: needed(e, 'Port'),
    speed: whole(e, 'Speed'),
    waitMs: whole(e, 'WaitMs'),
    bytes: bytesOfHex(needed(e, 'Bytes')),
  }),
}
export const busLoanAnswer = {
  write: (bytes: Uint8Array): Markup => el('cx:ExchangeOnBusResponse', el('cx:Bytes', hexOf(bytes))),
  /** @throws MalformedError */
  read: (e: Element): Uint8Array => bytesOfHex(textOf(e, 'Bytes')),
}

/** The key of a device on a bus, for its controller; none takes it away. Never read back. */
export const busKey = {
  write: (port: string, address: number, key: Uint8Array | null): Markup =>
    el('cx:SetBusKey', el('cx:Port', port), el('cx:Address', address), key ? el('cx:Key', hexOf(key)) : null),
  /** @throws MalformedError */
  read(e: Element): { port: string; address: number; key: Uint8Array | null } {
    const key = textOf(e, 'Key')
    const bytes = key ? bytesOfHex(key) : null
    if (bytes && bytes.length !== 16) throw new MalformedError('A key on a bus has 16 bytes.')
    return { port: needed(e, 'Port'), address: whole(e, 'Address'), key: bytes }
  },
}

export const busDevices = (e: Element): BusSeen[] => elements(e, 'BusDevice').map(busSeen.read)

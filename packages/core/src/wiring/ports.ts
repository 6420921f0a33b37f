import type { TerminalKind } from '../devices/sheet'

/** What one port of a controller does; the leads of a part go to one port of each class. */
export type PortClass = 'reader' | 'bus' | 'power' | 'lock' | 'input' | 'aux'
export const portWords: Readonly<Record<PortClass, string>> = {
  reader: 'reader port',
  bus: 'bus',
  power: 'feed for a device',
  lock: 'lock relay',
  input: 'input',
  aux: 'second relay',
}
const classOf: Readonly<Record<TerminalKind, PortClass>> = {
  'reader+': 'reader',
  'reader-': 'reader',
  d0: 'reader',
  d1: 'reader',
  led: 'reader',
  busA: 'bus',
  busB: 'bus',
  bus0: 'bus',
  input: 'input',
  inputCommon: 'input',
  'feed+': 'lock',
  'feed-': 'lock',
  relayC: 'lock',
  relayNC: 'lock',
  relayNO: 'lock',
  auxC: 'aux',
  auxNO: 'aux',
}

/** The screw by which a board's ports of a class are found. */
export const markerOf: Readonly<Record<PortClass, TerminalKind>> = {
  reader: 'd0',
  bus: 'busA',
  power: 'reader+',
  lock: 'relayC',
  input: 'input',
  aux: 'auxC',
}

/**
 * The screw that makes a port what it is: where it is taken, the port is. A lock relay is shared by the lock, its second leaf and the
 * break glass; a bus by all that hang on it; a device that is only fed takes no port from anybody.
 */
export const keyScrew: Partial<Record<PortClass, TerminalKind>> = { reader: 'd0', input: 'input', aux: 'auxC' }

/** Kinds of which a board may have one screw for several ports. */
export const sharedKinds: ReadonlySet<TerminalKind> = new Set(['inputCommon', 'feed+', 'feed-', 'reader+', 'reader-'])

/** A shared screw serves ports of its own board only: `E1 …` belongs to expander E1. */
export const boardOfPort = (port: string): string => /^(E\d+) /.exec(port)?.[1] ?? ''

/** What a part's leads want, put together by the port they go to. */
export function byPort<W extends { kind: TerminalKind }>(wants: readonly W[]): Map<PortClass, W[]> {
  const found = new Map<PortClass, W[]>()
  // A reader on a bus takes its supply beside the bus; a sensor that only wants to be fed takes no reader port.
  const onBus = wants.some((w) => w.kind === 'busA')
  const onlyFed = !wants.some((w) => w.kind === 'd0' || w.kind === 'd1' || w.kind === 'led')
  const wired = onlyFed ? 'power' : 'reader'
  const readerPort = onBus ? 'bus' : wired
  for (const want of wants) {
    const own = classOf[want.kind]
    const at = own === 'reader' ? readerPort : own
    found.set(at, [...(found.get(at) ?? []), want])
  }
  return found
}

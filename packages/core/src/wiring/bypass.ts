import type { DeviceSheet } from '../devices/sheet'
import { partOf, type Door } from '../doors/door'
import type { Net } from './conductors'

/** Screws that are joined, read from the net: links, and the relay's contacts whichever way it stands. */
function joined(net: Net, board: DeviceSheet): (a: string, b: string) => boolean {
  const root = new Map<string, string>()
  const find = (id: string): string => {
    const up = root.get(id)
    return up === undefined || up === id ? id : find(up)
  }
  const join = (a: string, b: string) => {
    root.set(find(a), find(b))
  }
  for (const l of net.links) join(l.from.id, l.to.id)
  for (const common of board.terminals.filter((t) => t.kind === 'relayC'))
    for (const t of board.terminals)
      if ((t.kind === 'relayNC' || t.kind === 'relayNO') && t.port === common.port) join(common.id, t.id)
  const feeds = board.terminals.filter((t) => t.kind === 'feed+')
  for (const t of feeds) join(t.id, feeds[0]?.id ?? t.id)
  return (a, b) => find(a) === find(b)
}

/**
 * Locks that stay fed when the break glass is broken: with its contact out of the net there is still a way from the feed to the lock,
 * whichever way the relay stands. Empty where there is no break glass, or it does its work.
 */
export function fedPastTheGlass(door: Door, net: Net, board: DeviceSheet): string[] {
  const glass = partOf(door, 'breakGlass')
  if (!glass) return []
  const same = joined(net, board)
  const feed = board.terminals.find((t) => t.kind === 'feed+')?.id
  return door.parts
    .filter((p) => p.role === 'lock' || p.role === 'lock2')
    .filter((part) => {
      const plus = net.conductors.find((c) => c.part === part.id && c.step === 3)
      return plus && feed !== undefined && same(plus.terminal.id, feed)
    })
    .map((p) => p.id)
}

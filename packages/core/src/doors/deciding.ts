import { accessPlaces, knowsWho } from './accesspoints'
import { serverDecides } from './abilities'
import type { Door } from './door'
import { drivenLocks } from './driven'
import { ownUnitOf } from './ownUnit'
import { boardOf } from '../devices/board'
import type { Sheets } from '../devices/sheet'
import type { Facts } from '../job/facts'
import { note, stop, warn, type Finding } from '../job/finding'

/** Within less than this no server answers, s; longer than that nobody stands and waits (common practice, no source). */
export const leastReachS = 2
const longestWaitS = 10

/** What stands against who is to decide at a door, and what follows from it. */
export function decidingFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  if (!door.decides) return []
  return serverDecides(door)
    ? [...serverFindings(door, sheets), ...openFindings(door, sheets)]
    : unable(facts, door, sheets)
}

/** A reader or a lock that only tells its controller decides nothing; one that is its own controller does. */
function unable(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  const by = door.decides?.by
  if (by !== 'reader' && by !== 'lock') return []
  const controller = facts.controller[door.placement?.controller ?? '']
  if (by === 'reader' && controller && ownUnitOf(door, boardOf(sheets, controller))) return []
  return [
    stop(
      'load',
      'cannot-decide',
      `The ${by} is to decide at ${door.ref}, and it only hands on what it reads: its controller decides. Let the controller decide, or the server.`,
    ),
  ]
}

function serverFindings(door: Door, sheets: Sheets): Finding[] {
  const { afterS = 0 } = door.decides ?? {}
  const found: Finding[] = [
    note(
      'load',
      'server-decides',
      `The server decides at ${door.ref}. This one does so while the job lasts: tell the client which one does afterwards.`,
    ),
  ]
  if (!accessPlaces(door, sheets).some((p) => knowsWho(p) && !p.leaving))
    found.push(
      stop(
        'load',
        'decides-unread',
        `Nothing reads who comes in at ${door.ref}, so there is nobody whom a server could decide about. Plan a reader, or let the controller decide.`,
      ),
    )
  if (afterS < leastReachS)
    found.push(
      stop(
        'load',
        'no-time-to-answer',
        `The server is out of reach after ${afterS} s at ${door.ref}: no server answers in so short a time. Give it ${leastReachS} s at least.`,
      ),
    )
  if (afterS > longestWaitS)
    found.push(
      warn(
        'load',
        'long-wait',
        `Whoever comes to ${door.ref} while the server is away waits ${afterS} s before anything happens. Make it ${longestWaitS} s or less.`,
      ),
    )
  return found
}

/** Standing open for lack of a server may last for days. */
function openFindings(door: Door, sheets: Sheets): Finding[] {
  if (door.decides?.then !== 'opens') return []
  const driven = drivenLocks(door, sheets).find((lock) => lock.duty !== null)?.part
  return [
    warn(
      'load',
      'open-without-server',
      `While the server is away ${door.ref} stands open for everybody, however long that is.`,
    ),
    ...(driven
      ? [
          stop(
            'load',
            'driven-without-server',
            `${driven.id} lets go only while it is driven, and may not be driven without a break: it would be for as long as the server is away. Choose another lock, or let it stay shut.`,
            driven.id,
          ),
        ]
      : []),
  ]
}

import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import { keepsNobodyIn, partOf, type Door, type Part } from '../doors/door'
import { defaultPowerPlan, type PowerPlan } from '../power/records'

/** What may go wrong, or be wanted, at a door. */
export const releaseCases = ['mains', 'supply', 'controller', 'network', 'fire', 'glass'] as const
export type ReleaseCase = (typeof releaseCases)[number]
export const releaseWords: Readonly<Record<ReleaseCase, string>> = {
  mains: 'Mains gone, on battery',
  supply: 'Supply and battery dead',
  controller: 'Controller dead',
  network: 'Network gone',
  fire: 'Fire signal',
  glass: 'Break glass broken',
}
/** `free`: anybody passes. `handle`: out by the handle only. `works`: as always. `shut`: nobody passes. */
export interface ReleaseAnswer {
  case: ReleaseCase
  in: 'free' | 'works' | 'shut'
  out: 'free' | 'handle' | 'works' | 'shut'
  says: string
}

/** A lock of the door, with what it means for somebody who stands inside. */
interface LockThere {
  part: Part
  safe: boolean
  /** Fed by a battery of its own. */ own: boolean
  /** A handle frees a latch from inside, never a magnet. */ handle: boolean
  /** A break glass stands in its feed. */ glass: boolean
}

function locksOf(door: Door, sheets: Sheets): LockThere[] {
  return (['lock', 'lock2'] as const).flatMap((role) => {
    const part = partOf(door, role)
    const sheet = part && sheetOf(sheets, part.sheet)
    if (!part || !sheet?.lock) return []
    return [
      {
        part,
        safe: sheet.lock.fail === 'safe',
        own: !!sheet.ownBattery,
        handle: sheet.lock.principle !== 'magnetic' && (door.handle || !!sheet.ownBattery),
        glass: !!partOf(door, 'breakGlass'),
      },
    ]
  })
}

/** From the tightest to the widest: of two locks, the tighter one decides. */
const outOrder: readonly ReleaseAnswer['out'][] = ['shut', 'handle', 'works', 'free']
const inOrder: readonly ReleaseAnswer['in'][] = ['shut', 'works', 'free']

/** What opens and what stays shut at one door, case by case, worked out lock by lock. Null while the door has no lock or no place. @param hours that the battery lasts; null where it is not known */
export function releaseOf(
  door: Door,
  controller: Controller | undefined,
  sheets: Sheets,
  plan: PowerPlan = defaultPowerPlan(controller?.id ?? ''),
  hours: number | null = null,
): ReleaseAnswer[] | null {
  const locks = locksOf(door, sheets)
  if (!locks.length || !controller) return null
  const fedByNetwork = !!boardOf(sheets, controller).feeds
  return releaseCases.map((which) => {
    const answers = locks.map((lock) =>
      leaving(answerOf(which, lock, door, plan, fedByNetwork ? 'network' : hours), lock, door),
    )
    return tightest(answers, locks)
  })
}

function tightest(answers: readonly ReleaseAnswer[], locks: readonly LockThere[]): ReleaseAnswer {
  const sorted = answers
    .map((a, i) => ({ a, part: locks[i]?.part.id ?? '' }))
    .sort((x, y) => outOrder.indexOf(x.a.out) - outOrder.indexOf(y.a.out))
  const first = sorted[0] as { a: ReleaseAnswer; part: string }
  const into = inOrder.find((i) => answers.some((a) => a.in === i)) ?? first.a.in
  const differ = answers.some((a) => a.in !== first.a.in || a.out !== first.a.out)
  return { ...first.a, in: into, says: differ ? `${first.part}: ${first.a.says}` : first.a.says }
}

/** Where nothing lets anybody past this lock in daily use, nothing that works on does either; what is too small to stand in keeps nobody in. */
function leaving(answer: ReleaseAnswer, lock: LockThere, door: Door): ReleaseAnswer {
  if (keepsNobodyIn(door)) return answer.out === 'shut' ? { ...answer, out: 'works' } : answer
  const asks = door.parts.some((p) => p.role === 'exit' || p.role === 'exitSensor' || p.role === 'exitReader')
  if (answer.out !== 'works' || lock.handle || asks) return answer
  const nothing = door.handle ? 'the handle does not free a magnet' : 'there is nothing to leave by'
  return { ...answer, out: 'shut', says: `${answer.says} Nobody gets out: ${nothing}.` }
}

function answerOf(
  which: ReleaseCase,
  lock: LockThere,
  door: Door,
  plan: PowerPlan,
  hours: number | 'network' | null,
): ReleaseAnswer {
  switch (which) {
    case 'mains':
      return mainsGone(lock, door, hours)
    case 'supply':
      return lock.own
        ? withoutHub('supply', door)
        : unfed(
            'supply',
            lock,
            door,
            lock.safe
              ? 'Without power the lock lets go: the door is open to both sides.'
              : 'Without power the lock stays shut.',
          )
    case 'controller':
      return lock.own ? withoutHub('controller', door) : controllerDead(lock, door)
    case 'network':
      return networkGone(door)
    case 'fire':
      return fireSignal(lock, door, plan)
    case 'glass':
      return glassBroken(lock, door)
  }
}

const works = (which: ReleaseCase, says: string): ReleaseAnswer => ({ case: which, in: 'works', out: 'works', says })

/** A wireless lock whose hub or controller is gone lives on its cells, and is left by its handle. */
const withoutHub = (which: ReleaseCase, door: Door): ReleaseAnswer => ({
  case: which,
  in: 'shut',
  out: 'handle',
  says: `The lock lives on its own battery, and ${door.decides?.then === 'staysShut' ? 'nobody gets in' : 'opens to the standby credential alone'}. Out by the handle.`,
})

/** Why nobody gets out past a lock that stays shut. */
const whyShut = (door: Door): string => (door.handle ? 'the handle does not free a magnet' : 'there is no handle')

/** The lock's feed is gone: a fail-safe one lets go, a fail-secure one is left by its handle or not at all. */
function unfed(which: ReleaseCase, lock: LockThere, door: Door, says: string): ReleaseAnswer {
  if (lock.safe && !lock.own) return { case: which, in: 'free', out: 'free', says }
  if (lock.handle) return { case: which, in: 'shut', out: 'handle', says: `${says} Out by the handle.` }
  const stuck = keepsNobodyIn(door) ? '' : ` Nobody gets out: ${whyShut(door)}.`
  return { case: which, in: 'shut', out: 'shut', says: `${says}${stuck}` }
}

function mainsGone(lock: LockThere, door: Door, hours: number | 'network' | null): ReleaseAnswer {
  if (lock.own) return works('mains', 'The lock has its own battery and does not notice.')
  if (hours === 'network')
    return works('mains', 'Fed from the network: works as long as the battery of the network switch.')
  if (hours === null) return works('mains', 'Works on, as long as the battery lasts.')
  if (hours > 0) return works('mains', `Works on for about ${hours === Infinity ? 'ever' : `${hours.toFixed(1)} h`}.`)
  return unfed('mains', lock, door, `No battery: ${lock.safe ? 'the lock lets go at once.' : 'the lock stays shut.'}`)
}

/** With the controller dead its relays fall back: a fail-safe lock stays fed over the contact that is closed at rest. */
function controllerDead(lock: LockThere, door: Door): ReleaseAnswer {
  const state = lock.safe ? 'Its relay falls back and the lock stays fed.' : 'The lock stays shut.'
  const answer = (out: ReleaseAnswer['out'], says: string): ReleaseAnswer => ({
    case: 'controller',
    in: 'shut',
    out,
    says: `${state} ${says}`.trim(),
  })
  if (lock.handle) return answer('handle', 'Out by the handle.')
  // A break glass cuts the feed: that frees a fail-safe lock and never a fail-secure one.
  if (lock.glass && lock.safe) return answer('free', 'The exit button is dead too; out by the break glass.')
  if (keepsNobodyIn(door)) return answer('shut', '')
  const never = door.escapeRoute ? ' That must not be on an escape route.' : ''
  return answer('shut', `The exit button is dead too: nobody gets out.${never}`)
}

function fireSignal(lock: LockThere, door: Door, plan: PowerPlan): ReleaseAnswer {
  if (lock.own) return works('fire', 'The fire signal does not reach a wireless lock. Out by the handle.')
  if (!plan.fireRelay) return works('fire', 'The fire signal does not act on this supply: the door works as it did.')
  return unfed(
    'fire',
    lock,
    door,
    lock.safe
      ? 'The fire relay takes the feed away: the lock lets go, on battery too.'
      : 'The fire relay takes the feed away; a fail-secure lock stays shut.',
  )
}

function glassBroken(lock: LockThere, door: Door): ReleaseAnswer {
  if (!lock.glass) return works('glass', 'There is none at this door.')
  if (lock.own) return works('glass', 'The break glass does not reach a lock with its own battery.')
  if (lock.safe) return { case: 'glass', in: 'free', out: 'free', says: 'Cuts the feed: the door is open.' }
  return { ...unfed('glass', lock, door, 'Cutting the feed never opens a fail-secure lock.'), in: 'works' }
}

function networkGone(door: Door): ReleaseAnswer {
  const decides = door.decides
  if (decides?.by !== 'server')
    return works('network', `The ${decides?.by ?? 'controller'} decides by itself; events come later.`)
  const after = `The server decides: after ${decides.afterS} s without it`
  if (decides.then === 'opens') return { case: 'network', in: 'free', out: 'free', says: `${after} the door opens.` }
  if (decides.then === 'knownCards') return works('network', `${after}, cards known at the door still pass.`)
  return { ...works('network', `${after} nobody gets in; the exit button still works.`), in: 'shut' }
}

/** Every case in which nobody gets out at a door, whatever its battery and its fire relay will be; empty where somebody always does, or there is no lock. */
export function stuckCases(door: Door, controller: Controller, sheets: Sheets): ReleaseAnswer[] {
  const relay = { ...defaultPowerPlan(controller.id), fireRelay: true }
  return (releaseOf(door, controller, sheets, relay, 0) ?? []).filter((a) => a.out === 'shut')
}

export interface ReleaseRow {
  door: Door
  /** Null where there is no lock or no place: nobody can say what happens there. */ answers: ReleaseAnswer[] | null
}
/** How many doors of a site let people out in a case: its title is read from the rows that stand under it. */
export function releaseCount(
  rows: readonly ReleaseRow[],
  which: ReleaseCase,
): { stuck: number; known: number; unknown: number } {
  const known = rows.filter((r) => r.answers)
  return {
    stuck: known.filter((r) => r.answers?.some((a) => a.case === which && a.out === 'shut')).length,
    known: known.length,
    unknown: rows.length - known.length,
  }
}

/** The title over a site's rows in a case. */
export function releaseTitle(rows: readonly ReleaseRow[], which: ReleaseCase): string {
  const { stuck, known, unknown } = releaseCount(rows, which)
  const doors = (n: number) => (n === 1 ? '1 door' : `${n} doors`)
  const open = unknown ? ` Not known at ${doors(unknown)}.` : ''
  if (stuck) return `${releaseWords[which]}: at ${stuck} of ${doors(known)} nobody gets out.${open}`
  if (known) return `${releaseWords[which]}: people get out at ${unknown ? '' : 'all '}${doors(known)}.${open}`
  return `${releaseWords[which]}: not known yet. Give the doors locks and place them.`
}

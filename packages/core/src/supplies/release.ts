import { boardOf } from '../devices/board'
import type { Controller } from '../devices/records'
import { sheetOf, type Sheets } from '../devices/sheet'
import { hasWayOut, partOf, type Door } from '../doors/door'
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
/** `free`: anybody passes. `handle`: out by the handle only. `works`: as always. `shut`: nobody passes. `stuck`: nobody gets out. */
export interface ReleaseAnswer {
  case: ReleaseCase
  in: 'free' | 'works' | 'shut'
  out: 'free' | 'handle' | 'works' | 'shut'
  says: string
}

/** What opens and what stays shut at one door, case by case. Null while the door has no lock or no place. */
export function releaseOf(
  door: Door,
  controller: Controller | undefined,
  sheets: Sheets,
  plan: PowerPlan = defaultPowerPlan(controller?.id ?? ''),
  hours: number | null = null,
): ReleaseAnswer[] | null {
  const part = partOf(door, 'lock')
  const lock = part && sheetOf(sheets, part.sheet).lock
  if (!lock || !controller) return null
  const board = boardOf(sheets, controller)
  const safe = lock.fail === 'safe'
  const own = !!sheetOf(sheets, part.sheet).ownBattery
  const handle = door.handle || own
  const glass = partOf(door, 'breakGlass')
  const byHand = handle ? 'handle' : 'shut'
  const outUnfed: ReleaseAnswer['out'] = safe && !own ? 'free' : byHand
  const cut = (which: ReleaseCase, says: string): ReleaseAnswer => ({
    case: which,
    in: safe && !own ? 'free' : 'shut',
    out: outUnfed,
    says,
  })
  const works = (which: ReleaseCase, says: string): ReleaseAnswer => ({ case: which, in: 'works', out: 'works', says })
  const byHandle = handle && !safe ? ' Out by the handle.' : ''
  const stuck = outUnfed === 'shut' ? ' Nobody gets out: there is no handle.' : byHandle
  const mains = (): ReleaseAnswer => {
    if (own) return works('mains', 'The lock has its own battery and does not notice.')
    if (board.feeds) return works('mains', 'Fed from the network: works as long as the battery of the network switch.')
    if (hours === null) return works('mains', 'Works on, as long as the battery lasts.')
    if (hours > 0) return works('mains', `Works on for about ${hours === Infinity ? 'ever' : `${hours.toFixed(1)} h`}.`)
    return cut('mains', `No battery: ${safe ? 'the lock lets go at once.' : 'the lock stays shut.'}${stuck}`)
  }
  const answers: ReleaseAnswer[] = [
    mains(),
    own
      ? works('supply', 'The lock has its own battery; cards that it knows still pass.')
      : cut(
          'supply',
          safe
            ? 'Without power the lock lets go: the door is open to both sides.'
            : `Without power the lock stays shut.${stuck}`,
        ),
    own
      ? works('controller', 'The lock decides by itself for cards that it knows.')
      : controllerDead(safe, handle, !!glass, door),
    networkGone(door),
    own || !plan.fireRelay
      ? {
          case: 'fire',
          in: 'works',
          out: 'works',
          says: own
            ? 'The fire signal does not reach a wireless lock. Out by the handle.'
            : 'The fire signal does not act on this supply: the door works as it did.',
        }
      : cut(
          'fire',
          safe
            ? 'The fire relay takes the feed away: the lock lets go, on battery too.'
            : `The fire relay takes the feed away; a fail-secure lock stays shut.${stuck}`,
        ),
    glass
      ? {
          case: 'glass',
          in: safe ? 'free' : 'works',
          out: safe ? 'free' : outUnfed,
          says: safe ? 'Cuts the feed: the door is open.' : `Cutting the feed never opens a fail-secure lock.${stuck}`,
        }
      : { case: 'glass', in: 'works', out: 'works', says: 'There is none at this door.' },
  ]
  return hasWayOut(door) ? answers : answers.map(withoutWayOut)
}

/** Where nothing lets anybody out in daily use, nothing that works on does either. */
const withoutWayOut = (a: ReleaseAnswer): ReleaseAnswer =>
  a.out === 'works' ? { ...a, out: 'shut', says: `${a.says} Nobody gets out: there is nothing to leave by.` } : a

/** With the controller dead its relays fall back: a fail-safe lock stays fed over the contact that is closed at rest. */
function controllerDead(safe: boolean, handle: boolean, glass: boolean, door: Door): ReleaseAnswer {
  // A break glass cuts the feed: that frees a fail-safe lock and never a fail-secure one.
  const frees = glass && safe
  const leave = (): Pick<ReleaseAnswer, 'out' | 'says'> => {
    if (handle) return { out: 'handle', says: 'Out by the handle.' }
    if (frees) return { out: 'free', says: 'The exit button is dead too; out by the break glass.' }
    const never = door.escapeRoute ? ' That must not be on an escape route.' : ''
    return { out: 'shut', says: `The exit button is dead too: nobody gets out.${never}` }
  }
  const { out, says } = leave()
  const lock = safe ? 'Its relay falls back and the lock stays fed.' : 'The lock stays shut.'
  return { case: 'controller', in: 'shut', out, says: `${lock} ${says}` }
}

function networkGone(door: Door): ReleaseAnswer {
  const decides = door.decides
  if (decides?.by !== 'server')
    return {
      case: 'network',
      in: 'works',
      out: 'works',
      says: `The ${decides?.by ?? 'controller'} decides by itself; events come later.`,
    }
  if (decides.then === 'opens')
    return {
      case: 'network',
      in: 'free',
      out: 'free',
      says: `The server decides: after ${decides.afterS} s without it the door opens.`,
    }
  if (decides.then === 'knownCards')
    return {
      case: 'network',
      in: 'works',
      out: 'works',
      says: `The server decides: after ${decides.afterS} s without it, cards known at the door still pass.`,
    }
  return {
    case: 'network',
    in: 'shut',
    out: 'works',
    says: `The server decides: after ${decides.afterS} s without it nobody gets in; the exit button still works.`,
  }
}

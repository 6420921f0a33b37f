import type { Sheets } from '../devices/sheet'
import { partDeviceId, type Door } from '../doors/door'
import { all, type Facts } from '../job/facts'
import { stop, warn, type Finding } from '../job/finding'
import { keepsStandby } from '../config/parts'
import { radioDeviceOf, type RadioLock } from './devices'

/** Metres from a wireless lock to its hub as the crow flies, where both have a place on the site’s grid; null where one has none. */
export function radioDistanceM(facts: Facts, { door, hub }: Pick<RadioLock, 'door' | 'hub'>): number | null {
  const at = facts.cabinetPlace[hub?.unit.cabinet ?? '']
  return at && door.at ? Math.hypot(door.at.x - at.x, door.at.y - at.y) : null
}

/** Walls and floors are not known: from this share of what a hub reaches in the open, a lock may be out of its reach (common practice, no source). */
const sureShare = 0.5

/** What is to be said of the radio of a door before anything hangs on its leaf. */
export function radioFindings(facts: Facts, door: Door, sheets: Sheets): Finding[] {
  return door.parts.flatMap((part) => {
    const device = radioDeviceOf(facts, sheets, partDeviceId(door.id, part.id))
    if (device?.kind !== 'lock') return []
    return [...aloneFindings(facts, device), ...twins(facts, device), ...farFindings(facts, device)]
  })
}

function aloneFindings(facts: Facts, { door, part }: RadioLock): Finding[] {
  if (door.decides?.then === 'opens')
    return [
      stop(
        'plan',
        'radio-opens',
        `${part.id} cannot stand open by itself while its radio is gone: it opens to the standby credential, or stays shut. Choose one of these.`,
        part.id,
      ),
    ]
  if (!keepsStandby(door, facts) && door.decides?.then !== 'staysShut')
    return [
      warn(
        'plan',
        'no-standby',
        `Nobody gets in while the radio of ${part.id} is gone: the job has no standby credential. Set one, under Radio.`,
        part.id,
      ),
    ]
  return []
}

function twins(facts: Facts, { hub, place, part, id }: RadioLock): Finding[] {
  if (!hub) return []
  const twin = all(facts, 'door')
    .flatMap((d) => d.parts.map((p) => ({ of: partDeviceId(d.id, p.id), ref: `${d.ref} ${p.id}`, radio: p.radio })))
    .find(({ of, radio }) => of !== id && radio?.hub === hub.unit.id && radio.place === place)
  return twin
    ? [
        stop(
          'plan',
          'untold',
          `${part.id} has place ${place} of ${hub.ref}, and so has ${twin.ref}. Give it another, under Radio.`,
          part.id,
        ),
      ]
    : []
}

function farFindings(facts: Facts, lock: RadioLock): Finding[] {
  const openM = lock.hub?.sheet.radio?.openM
  const metres = radioDistanceM(facts, lock)
  if (openM === undefined || metres === null || metres <= openM * sureShare) return []
  const far = `${lock.part.id} is ${Math.round(metres)} m from ${lock.hub?.ref}, which reaches ${openM} m in the open`
  return [
    metres > openM
      ? warn('plan', 'radio-far', `${far}: give it a nearer hub.`, lock.part.id)
      : warn(
          'plan',
          'radio-unsure',
          `${far} and less through walls. Try the signal before the leaf is drilled.`,
          lock.part.id,
        ),
  ]
}

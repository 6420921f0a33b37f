import { cardData, formatName, usualFormat } from '../../cards/card'
import type { Door } from '../../doors/door'
import type { Facts } from '../../job/facts'
import { byRadio, portByRadio } from '../../radio/port'
import { sameJson } from '../canonical'
import type { Json } from '../records'
import { asObject, plainWords, shape, type PartKind } from './kind'

const text = { type: 'string' }

/** Whether a lock of this door opens to the standby credential while its radio is gone. */
export const keepsStandby = (door: Door, facts: Facts): boolean =>
  facts.radioPlan['site']?.standby != null && door.decides?.then !== 'staysShut'

/**
 * What a wireless lock keeps for itself, as the lock says that it holds it: what it was sent and has not taken yet waits for a hand at
 * the door.
 */
export const radioKind: PartKind = {
  name: 'radio',
  schema: {
    type: 'object',
    additionalProperties: shape(
      { port: text, format: text, standby: text, sent: shape({ format: text, standby: text }, ['format', 'standby']) },
      ['format', 'standby', 'sent'],
    ),
  },
  want: ({ facts, doors, board, sheets }) =>
    Object.fromEntries(
      doors.flatMap((door) => {
        const locks = door.parts.flatMap((part) => {
          const port = byRadio(part, sheets) ? portByRadio(part, board) : ''
          return port ? [[part.id, { port, ...standbyOf(door, facts) }] as const] : []
        })
        return locks.length ? [[door.id, Object.fromEntries(locks)]] : []
      }),
    ),
  doorOf: (token) => token,
  waits(heldValue, wantedValue) {
    const [held, wanted] = [asObject(heldValue), asObject(wantedValue)]
    const parts = [...new Set([...Object.keys(held), ...Object.keys(wanted)])]
    const others = parts.filter((part) => !sameJson(held[part] ?? null, wanted[part] ?? null))
    return others.every((part) => isSent(held[part], wanted[part])) ? others : []
  },
  group: 'Doors',
  title: () => 'Wireless lock',
  summary: (value) =>
    Object.entries(asObject(value))
      .map(([part, lock]) => `${part}: ${words(lock)}`)
      .join('; '),
  field: (field, value) => ({ name: field, says: value === undefined ? 'not told' : words(value) }),
}

/** Whether a lock was sent what is wanted of it, and has not taken it yet. */
function isSent(held: Json | undefined, wanted: Json | undefined): boolean {
  const { port, sent } = asObject(held)
  return wanted !== undefined && sent !== undefined && sameJson({ port: port ?? '', ...asObject(sent) }, wanted)
}

function standbyOf(door: Door, facts: Facts): { [field: string]: Json } {
  const standby = facts.radioPlan['site']?.standby
  return standby && keepsStandby(door, facts)
    ? { format: standby.format ?? usualFormat, standby: cardData(standby) }
    : {}
}

function words(value: Json): string {
  const lock = asObject(value)
  const standby = lock['standby']
  const opens =
    standby === undefined
      ? 'without radio nobody gets in'
      : `without radio it opens to ${plainWords(standby)} (${formatName(plainWords(lock['format']))})`
  return `${plainWords(lock['port'])}, ${opens}${lock['sent'] !== undefined ? ', and waits for a hand at the door to take what it was sent' : ''}`
}

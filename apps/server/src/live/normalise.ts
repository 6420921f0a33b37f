import type { DeviceEvent } from '@rauta/core'
import { topics, type Notification } from '@rauta/protocols'

const reasons: Record<string, [string, string]> = {
  CredentialNotFound: ['unknown', 'the card is unknown'], CredentialNotEnabled: ['lost', 'the card is lost'], NotPermitted: ['no rule', 'no rule lets it pass'], NotPermittedAtThisTime: ['hours', 'out of hours'],
}
const alarms: Record<string, [string, string]> = { DoorForcedOpen: ['forced', 'forced open'], DoorOpenTooLong: ['heldOpen', 'held open too long'], Normal: ['none', 'alarm over'] }

/** A device's notification as an event of the job, or null for what no door is concerned with. */
export function normalise(n: Notification, controller: string, received: number, offsetMs: number): DeviceEvent | null {
  const [door = '', reader = ''] = (n.source['AccessPointToken'] ?? n.source['DoorToken'] ?? '').split('.')
  const boot = n.data['Boot'] ?? ''
  const seq = Number(n.data['Sequence'] ?? 0)
  const base = { id: `${controller}:${boot}:${seq}`, controller, boot, seq, at: n.utcMs, received: Math.round(received), offsetMs: Math.round(offsetMs), door, reader, card: n.data['Card'] ?? '' }
  const made = (kind: DeviceEvent['kind'], state: string, says: string): DeviceEvent => ({ ...base, kind, state, says })
  const holder = n.data['CredentialHolderName'] ?? ''
  switch (n.topic) {
    case topics.granted: return made('granted', 'granted', `Released for ${holder || 'a card'} at ${reader}`)
    case topics.grantedAnonymous: return { ...made('exit', 'active', 'Exit button pressed, released'), door: n.data['DoorToken'] ?? door, reader: '' }
    case topics.denied: case topics.unknownCard: {
      const [state, says] = reasons[n.data['Reason'] ?? ''] ?? ['other', n.data['Reason'] ?? 'no reason given']
      return made('refused', state, `Refused at ${reader}${holder ? `, ${holder}` : ''}: ${says}`)
    }
    case topics.leaf: return made('leaf', n.data['State'] === 'Open' ? 'open' : 'closed', n.data['State'] === 'Open' ? 'Leaf opened' : 'Leaf closed')
    case topics.lock: return made('lock', n.data['State'] === 'Unlocked' ? 'unlocked' : 'locked', n.data['State'] === 'Unlocked' ? 'Lock released' : 'Locked again')
    case topics.alarm: {
      const [state, says] = alarms[n.data['State'] ?? ''] ?? ['other', n.data['State'] ?? '']
      return made('alarm', state, state === 'none' ? 'Alarm over' : `Alarm: ${says}`)
    }
    default: return null
  }
}

/** The server's own note that events may be missing between two moments of its clock. */
export function gapEvent(controller: string, from: number, to: number, why: string): DeviceEvent {
  return { id: `${controller}:gap:${Math.round(to)}`, controller, boot: '', seq: 0, at: Math.round(to), received: Math.round(to), offsetMs: 0, kind: 'gap', door: '', reader: '', card: '', state: String(Math.round(to - from)), says: `Events may be missing: ${why}` }
}

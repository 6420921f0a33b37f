import {
  all,
  deviceStanding,
  movesTo,
  offsetText,
  outOfReachWords,
  radioDeviceStanding,
  wrongTypeWords,
  type BusDevice,
  type Controller,
  type DeviceStanding,
  type Facts,
  type RadioDevice,
  type Reach,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { type Tone } from '../../parts/Text'

export interface Standing {
  says: string
  tone: Tone
  link: 'joined' | 'working' | 'fault' | 'apart'
}

function inService(reach: Reach, planned: Controller): Standing {
  const elsewhere = movesTo(reach, planned)
  if (reach.silentMs) return { says: reach.says || 'does not answer', tone: 'ochre', link: 'apart' }
  return elsewhere
    ? { says: `answers at ${reach.address}, planned at ${elsewhere}`, tone: 'madder', link: 'fault' }
    : { says: `ours · clock ${offsetText(reach.clockOffsetMs)} s off`, tone: 'verdigris', link: 'joined' }
}

/** Where a planned controller stands, in one line. */
export function standingOf(facts: Facts, controller: Controller): Standing {
  const reach = facts.reach[controller.id]
  const claim = facts.claim[controller.id]
  const found = all(facts, 'found').find((f) => f.controller === controller.id)
  const at = claim?.steps.find((s) => s.state !== 'done')
  if (reach?.owned && !(claim?.only && at)) return inService(reach, controller)
  if (at?.state === 'failed' || at?.state === 'waits')
    return { says: at.says, tone: at.state === 'failed' ? 'madder' : 'ochre', link: 'fault' }
  if (claim) return { says: at?.says || 'at work', tone: 'slate', link: 'working' }
  if (!found) return { says: 'Not heard. Has it power, and does its link lamp flicker?', tone: 'quiet', link: 'apart' }
  const wrong = wrongTypeWords(found.model, controller, sheetsFor(facts))
  if (wrong) return { says: wrong, tone: 'madder', link: 'fault' }
  if (!found.routable) return { says: outOfReachWords(facts, found.address, controller), tone: 'madder', link: 'fault' }
  const total = found.holds ? found.holds.doors + found.holds.people : 0
  return found.ownership === 'closed'
    ? { says: 'Its password is not known.', tone: 'madder', link: 'fault' }
    : {
        says: total
          ? `opens to us, holds ${found.holds?.people} people and ${found.holds?.doors} doors`
          : 'factory-new',
        tone: total ? 'madder' : 'slate',
        link: total ? 'fault' : 'working',
      }
}

const toneOf = { given: 'verdigris', stale: 'madder', todo: 'quiet', underWay: 'slate' } as const
const linkOf = { given: 'joined', stale: 'fault', todo: 'apart', underWay: 'working' } as const

/** What its taking waits for comes before where a device stands. */
function takenStanding(facts: Facts, id: string, { sign, says }: DeviceStanding): Standing {
  const at = facts.claim[id]?.steps.find((s) => s.state !== 'done')
  if (at?.state === 'failed') return { says: at.says, tone: 'madder', link: 'fault' }
  if (at?.state === 'waits') return { says: at.says, tone: 'ochre', link: 'fault' }
  return { says, tone: toneOf[sign], link: linkOf[sign] }
}

/** Where a reader on a bus stands, in one line. */
export const busStandingOf = (facts: Facts, device: BusDevice): Standing =>
  takenStanding(facts, device.id, deviceStanding(facts, device, sheetsFor(facts)))

/** Where a hub or a wireless lock stands, in one line. */
export const radioStandingOf = (facts: Facts, device: RadioDevice): Standing =>
  takenStanding(facts, device.id, radioDeviceStanding(facts, device, sheetsFor(facts)))

/** Notices have fewer tones than words. */
export const noticeTone = ({ tone }: Standing): 'verdigris' | 'madder' | 'ochre' | 'slate' =>
  tone === 'verdigris' || tone === 'madder' || tone === 'ochre' ? tone : 'slate'

/** A device as it answers, in a line. */
export const whoAnswers = ({ serial, firmware, firmwareAccepted: accepted }: Reach): string =>
  `Serial ${serial}, firmware ${firmware}, accepted by ${accepted?.by ?? 'nobody yet'}`

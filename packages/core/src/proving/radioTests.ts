import { cardData, cardName } from '../cards/card'
import { keepsStandby } from '../config/parts'
import { partDeviceId, type Door } from '../doors/door'
import type { Facts } from '../job/facts'
import { radioDeviceOf } from '../radio/devices'
import { radioPortOf } from '../radio/port'
import type { Sheets } from '../devices/sheet'
import { made, points, type RadioHere, type Scene } from './scene'
import type { Test } from './test'

/** Wireless locks of a door that are at a hub. */
export const radioToProve = (facts: Facts, door: Door, sheets: Sheets): RadioHere[] =>
  door.parts.flatMap((part) => {
    const device = radioDeviceOf(facts, sheets, partDeviceId(door.id, part.id))
    if (device?.kind !== 'lock' || !device.hub) return []
    const standby = keepsStandby(door, facts) ? (facts.radioPlan['site']?.standby ?? null) : null
    return [{ part: part.id, hub: device.hub.ref, standby }]
  })

/** What a wireless lock does alone, tried with its hub off: it lets in whoever has the standby credential, or nobody. */
export function radioTests(scene: Scene): Test[] {
  return points(scene, 'lock').flatMap((point) => {
    const here = radioPortOf(point.port) && scene.radio.find((r) => r.part === point.part.id)
    if (!here) return []
    const good = cardData(scene.kit.good)
    const standby = here.standby ? cardData(here.standby) : ''
    const then = here.standby ? `, and then the standby credential ${cardName(here.standby)}` : ''
    return [
      made({
        id: `without-radio-${point.part.id}`,
        title: standby ? 'Without radio it opens to the standby credential' : 'Without radio nobody gets in',
        instruction: `Take hub ${here.hub} off its power. Present card ${cardName(scene.kit.good)} at ${point.part.id}${then}. Give the hub its power again.`,
        expect: standby
          ? 'The card is refused and the standby credential opens. Both are told once the hub is back.'
          : 'The card is refused. That is told once the hub is back.',
        judge: { kind: 'withoutRadio', card: good, standby },
        depends: [`radio.${point.part.id}`, `terminals.${point.key}`],
        cards: [good],
        at: point.part.id,
      }),
    ]
  })
}

import { sameCard, type StoredCard } from '../cards/card'
import { all, type Facts } from '../job/facts'
import { recordKind } from '../job/kind'

/** What the job keeps of its wireless locks. There is one: its id is `site`. */
export interface RadioPlan {
  id: 'site'
  /** Standby credential: opens a lock whose radio is gone. Nobody holds it in daily use. */
  standby: StoredCard | null
}

declare module '../job/facts' {
  interface RecordTypes {
    radioPlan: RadioPlan
  }
}

export const radioPlanKind = recordKind('radioPlan', {
  fields: { id: 'text', standby: 'object or none' },
  touches: (_plan, facts) => ({
    controllers: all(facts, 'controller').flatMap((c) => (c.hubs?.length ? [c.id] : [])),
    doors: all(facts, 'door').map((d) => d.id),
  }),
})

/** Whether a card is the standby credential of the job. */
export const isStandby = (facts: Facts, card: StoredCard): boolean => {
  const standby = facts.radioPlan['site']?.standby
  return !!standby && sameCard(standby, card)
}

import { cardName, jobOf, type Person } from '@rauta/core'
import { T } from '../../parts/Text'
import { useFacts } from '../../state/job'
import { dayTime } from '../../state/time'

/** Cards that somebody had, and who has them since. */
export function PastCards({ person }: { person: Person }) {
  const facts = useFacts()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  return (person.past ?? []).map((c) => (
    <T key={`${cardName(c)} ${c.at}`} size={13} tone="quiet">
      {`${cardName(c)} went to ${facts.person[c.to]?.name ?? 'somebody who is not here any more'}, ${dayTime(c.at, zone)}`}
    </T>
  ))
}

import type { Holding, Person } from '@rauta/core'
import { Action } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'

/** Whose the card is that was read, and what can be done with it. @param person for whom it was read */
export function Holder({
  holding,
  person,
  onPass,
  onFound,
}: {
  holding: Holding
  person: Person | undefined
  onPass: (from: Person, card: string, to: Person) => unknown
  onFound: (of: Person, card: string) => unknown
}) {
  if (holding.of === 'nobody') return <T tone="quiet">Nobody has it.</T>
  if (holding.of === 'test') return <Notice tone="ochre">It is one of the test cards: it is given to nobody.</Notice>
  const { person: holder, card } = holding
  const theirs = holder.id === person?.id
  return (
    <>
      <Notice tone={card.state === 'in use' ? 'slate' : 'ochre'}>
        {`It is ${holder.name}’s${card.state === 'in use' ? '' : `, ${card.state}: refused at every door`}.`}
      </Notice>
      {card.state === 'in use' ? null : (
        <Action kind="plain" label={`${holder.name} has it again`} onPress={() => onFound(holder, card.id)} />
      )}
      {person && !theirs ? (
        <Action kind="plain" label={`Pass it on to ${person.name}`} onPress={() => onPass(holder, card.id, person)} />
      ) : null}
    </>
  )
}

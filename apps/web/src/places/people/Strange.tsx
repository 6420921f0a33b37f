import { cardName, type CardChoice, type EnrolmentPlace, type ReadIn } from '@rauta/core'
import { router } from 'expo-router'
import { Action } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'

/** A read that is none of the reader's format: what it may be, and the way to find out how the reader sends. */
export function Strange({
  read,
  place,
  onKeep,
}: {
  read: ReadIn
  place: EnrolmentPlace
  onKeep: (choice: CardChoice) => void
}) {
  return (
    <>
      <Notice tone="ochre">{read.says || 'What came is no number of the reader’s format.'}</Notice>
      {read.choices.map((choice) => (
        <Action
          key={`${choice.format} ${cardName(choice.card)}`}
          kind="plain"
          label={`Keep it as ${cardName(choice.card)}`}
          aside={choice.format}
          onPress={() => onKeep(choice)}
        />
      ))}
      <Action
        kind="plain"
        label={`What does ${place.part} send?`}
        aside="set it so"
        onPress={() => router.push(`/doors/${place.door.id}/reads?part=${place.part}`)}
      />
      {read.choices.length === 0 ? <T>No format that Rauta knows reads it whole. Present it again, slowly.</T> : null}
    </>
  )
}

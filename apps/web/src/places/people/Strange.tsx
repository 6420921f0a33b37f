import { cardName, formatName, usualFormat, type CardChoice, type EnrolmentPlace, type ReadIn } from '@rauta/core'
import { Action } from '../../parts/Action'
import { Notice } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useJob } from '../../state/job'

/** A read that is none of the reader's format: what it may be, and the reader set to it by one tap. */
export function Strange({
  read,
  place,
  onKeep,
  onWrong,
}: {
  read: ReadIn
  place: EnrolmentPlace
  onKeep: (choice: CardChoice) => void
  onWrong: (says: string) => void
}) {
  const send = useJob((s) => s.send)
  const set = (format: string) =>
    send('part.format', { door: place.door.id, part: place.part, format })
      .then(() => onWrong(''))
      .catch((e: unknown) => onWrong(saysOf(e)))
  const formats = [...new Set(read.choices.map((c) => c.card.format ?? usualFormat))]
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
      {formats.map((format) => (
        <Action
          key={format}
          kind="plain"
          label={`Set ${place.part} to ${formatName(format)}`}
          aside="then load"
          onPress={() => set(format)}
        />
      ))}
      {read.choices.length === 0 ? <T>No format that Rauta knows reads it whole. Present it again, slowly.</T> : null}
    </>
  )
}

import { cardName, cardsTyped, type CardChoice, type StoredCard } from '@rauta/core'
import { useState } from 'react'
import { Action } from '../../parts/Action'
import { FieldToEnter } from '../../parts/Field'
import { Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'

/** A desk reader types like a keyboard and ends with Enter: it has a field of its own, so that it types into nothing else. */
export function DeskReader({ onCard }: { onCard: (card: StoredCard) => void }) {
  const [text, setText] = useState('')
  const [error, setError] = useState('')
  const [choices, setChoices] = useState<readonly CardChoice[]>([])
  const taken = (card: StoredCard) => {
    onCard(card)
    setText('')
    setChoices([])
  }
  const enter = async () => {
    const found = cardsTyped(text)
    setError(found.length ? '' : 'That is no card number. Write 61 04423, or the serial number: 04 A1 B2 C3.')
    if (found.length === 1 && found[0]) taken(found[0].card)
    else setChoices(found)
  }
  return (
    <Sheet title="A desk reader, or what is printed on it">
      <FieldToEnter
        label="Number of the card"
        value={text}
        onChange={setText}
        error={error}
        mono
        action="Take it"
        onEnter={enter}
      />
      {choices.length ? <T>It may be more than one. Which stands on it?</T> : null}
      {choices.map((c) => (
        <Action
          key={`${c.format} ${cardName(c.card)}`}
          kind="plain"
          label={cardName(c.card)}
          aside={c.format}
          onPress={() => taken(c.card)}
        />
      ))}
    </Sheet>
  )
}

import {
  cardStates,
  isSerial,
  numberedCard,
  serialCard,
  usualFormat,
  type CardState,
  type PersonCard,
} from '@rauta/core'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { FormatPick } from '../../parts/FormatPick'
import { Notice } from '../../parts/Screen'

/** A card as it is typed. */
export interface CardForm {
  id: string
  format: string
  /** Of a format that is a bare serial number. */
  serial: string
  facility: string
  number: string
  state: CardState
}

export const emptyCard = (id: string): CardForm => ({
  id,
  format: usualFormat,
  facility: '',
  number: '',
  serial: '',
  state: 'in use',
})

export const cardForm = (c: PersonCard): CardForm => ({
  id: c.id,
  format: c.format ?? usualFormat,
  facility: c.serial === undefined ? String(c.facility) : '',
  number: c.serial === undefined ? String(c.number) : '',
  serial: c.serial ?? '',
  state: c.state,
})

/** What is no whole number goes as none: the check says so at its field. */
export const cardOfForm = (c: CardForm): PersonCard => ({
  id: c.id,
  ...(isSerial(c.format)
    ? serialCard(c.format, c.serial)
    : numberedCard(c.format, numberIn(c.facility) ?? NaN, numberIn(c.number) ?? NaN)),
  state: c.state,
})

const stateLabels: Readonly<Record<CardState, string>> = { 'in use': 'In use', lost: 'Lost', withdrawn: 'Withdrawn' }

/** One card of a person: its format, its number, its state. @param i its place, from 0 */
export function CardFields({
  card: c,
  i,
  error,
  onChange,
  onTakeAway,
}: {
  card: CardForm
  i: number
  error: (field: string) => string | undefined
  onChange: (card: Partial<CardForm>) => void
  onTakeAway: () => void
}) {
  const wrong = error(`cards.${i}`)
  return (
    <View style={{ gap: 4 }}>
      <FormatPick label={`Format, card ${i + 1}`} value={c.format} onChange={(format) => onChange({ format })} />
      {isSerial(c.format) ? (
        <Field
          label={`Serial number, card ${i + 1}`}
          value={c.serial}
          onChange={(serial) => onChange({ serial })}
          error={error(`cards.${i}.serial`)}
          mono
        />
      ) : (
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <Field
              label={`Facility, card ${i + 1}`}
              value={c.facility}
              onChange={(facility) => onChange({ facility })}
              error={error(`cards.${i}.facility`)}
              keyboard="numeric"
              mono
            />
          </View>
          <View style={{ flex: 2 }}>
            <Field
              label={`Number, card ${i + 1}`}
              value={c.number}
              onChange={(number) => onChange({ number })}
              error={error(`cards.${i}.number`)}
              keyboard="numeric"
              mono
            />
          </View>
        </View>
      )}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Chips
        label={`State of card ${i + 1}`}
        value={c.state}
        onChange={(state) => onChange({ state })}
        options={cardStates.map((state) => ({ value: state, label: stateLabels[state] }))}
      />
      <Action kind="plain" label={`Take card ${i + 1} away`} onPress={onTakeAway} />
    </View>
  )
}

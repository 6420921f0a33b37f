import { all, isSerial, numberedCard, serialCard, usualFormat, type Person } from '@rauta/core'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { FormatPick } from '../../parts/FormatPick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { fieldOf, saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { Missing } from '../shell/Missing'

interface CardForm {
  id: string
  format: string
  /** Of a format that is a bare serial number. */
  serial: string
  facility: string
  number: string
  state: 'in use' | 'lost'
}

/** One person: name, number, cards, groups. */
export function PersonForm({ id }: { id?: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const person = id ? facts.person[id] : undefined
  const [form, setForm, forget] = useDraft(`person-${id ?? 'new'}`, formOf(person))
  const [wrong, setWrong] = useState<{ says: string; field: string | undefined } | null>(null)
  if (id && !person) return <Missing what="person" which={id} />
  const setCard = (i: number, card: Partial<CardForm>) =>
    setForm({ ...form, cards: form.cards.map((c, n) => (n === i ? { ...c, ...card } : c)) })
  const error = (field: string) => (wrong?.field === field ? wrong.says : undefined)
  const keep = async () => {
    const cards = form.cards.map((c) => ({
      id: c.id,
      ...(isSerial(c.format)
        ? serialCard(c.format, c.serial)
        : numberedCard(c.format, numberIn(c.facility) ?? NaN, numberIn(c.number) ?? NaN)),
      state: c.state,
    }))
    const bad = cards.findIndex((c) => Number.isNaN(c.facility) || Number.isNaN(c.number))
    if (bad >= 0) {
      setWrong({ says: 'Facility and number of a card are whole numbers, as printed on it.', field: `cards.${bad}` })
      return
    }
    try {
      await send('person.put', {
        id: person?.id ?? v7(),
        number: form.number.trim(),
        name: form.name.trim(),
        cards,
        groups: form.groups,
      })
      forget()
      router.push('/people')
    } catch (e) {
      setWrong({ says: saysOf(e), field: fieldOf(e) })
    }
  }
  return (
    <Screen title={person ? person.name : 'Add a person'} bar={<Action label="Save the person" onPress={keep} />}>
      {wrong && !wrong.field?.startsWith('cards') ? <Notice tone="madder">{wrong.says}</Notice> : null}
      <Sheet>
        <Field label="Name" value={form.name} onChange={(name) => setForm({ ...form, name })} error={error('name')} />
        <Field
          label="Number"
          value={form.number}
          onChange={(number) => setForm({ ...form, number })}
          mono
          error={error('number')}
        />
      </Sheet>
      <Sheet title="Cards">
        {form.cards.map((c, i) => (
          <View key={c.id} style={{ gap: 4 }}>
            <FormatPick
              label={`Format, card ${i + 1}`}
              value={c.format}
              onChange={(format) => setCard(i, { format })}
            />
            {isSerial(c.format) ? (
              <Field
                label={`Serial number, card ${i + 1}`}
                value={c.serial}
                onChange={(serial) => setCard(i, { serial })}
                mono
              />
            ) : (
              <View style={{ flexDirection: 'row', gap: 12 }}>
                <View style={{ flex: 1 }}>
                  <Field
                    label={`Facility, card ${i + 1}`}
                    value={c.facility}
                    onChange={(facility) => setCard(i, { facility })}
                    keyboard="numeric"
                    mono
                  />
                </View>
                <View style={{ flex: 2 }}>
                  <Field
                    label={`Number, card ${i + 1}`}
                    value={c.number}
                    onChange={(number) => setCard(i, { number })}
                    keyboard="numeric"
                    mono
                  />
                </View>
              </View>
            )}
            {error(`cards.${i}`) ? <Notice tone="madder">{error(`cards.${i}`)}</Notice> : null}
            <Chips
              label={`State of card ${i + 1}`}
              value={c.state}
              onChange={(state) => setCard(i, { state })}
              options={[
                { value: 'in use', label: 'In use' },
                { value: 'lost', label: 'Lost' },
              ]}
            />
            <Action
              kind="plain"
              label={`Take card ${i + 1} away`}
              onPress={() => setForm({ ...form, cards: form.cards.filter((_, n) => n !== i) })}
            />
          </View>
        ))}
        <Action
          kind="plain"
          label="Add a card"
          onPress={() =>
            setForm({
              ...form,
              cards: [
                ...form.cards,
                { id: v7(), format: usualFormat, facility: '', number: '', serial: '', state: 'in use' },
              ],
            })
          }
        />
      </Sheet>
      <Sheet title="Groups">
        {all(facts, 'group').map((g) => (
          <Tick
            key={g.id}
            label={g.name}
            on={form.groups.includes(g.id)}
            onPress={() =>
              setForm({
                ...form,
                groups: form.groups.includes(g.id) ? form.groups.filter((x) => x !== g.id) : [...form.groups, g.id],
              })
            }
          />
        ))}
        {all(facts, 'group').length === 0 ? <T tone="quiet">No group yet. Make one under Access.</T> : null}
      </Sheet>
      {person ? (
        <TakeAway kind="person" id={person.id} name={person.name} onGone={() => router.push('/people')} />
      ) : null}
    </Screen>
  )
}

const formOf = (p: Person | undefined) => ({
  name: p?.name ?? '',
  number: p?.number ?? '',
  groups: p?.groups ?? ([] as string[]),
  cards: (p?.cards ?? []).map((c): CardForm => ({
    id: c.id,
    format: c.format ?? usualFormat,
    facility: c.serial === undefined ? String(c.facility) : '',
    number: c.serial === undefined ? String(c.number) : '',
    serial: c.serial ?? '',
    state: c.state,
  })),
})

import { accessPlaces, readsWords, sheetOf, type EnrolmentPlace, type Facts } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { Pick } from '../../parts/Pick'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { configsOf, doorsInOrder, marksFor } from '../../state/worked'

const keyOf = ({ door, part }: EnrolmentPlace): string => `${door.id}/${part}`

/** The reader at which cards are read in: the one chosen, or the first that may be used. */
export function useReaderChoice(places: readonly EnrolmentPlace[]) {
  const [chosen, setChosen] = useState('')
  const place = places.find((p) => keyOf(p) === chosen) ?? places[0]
  return { place, choose: (next: EnrolmentPlace) => setChosen(keyOf(next)) }
}

/** Every reader of cards in the job, those that may be used already first. */
function everyReader(facts: Facts): EnrolmentPlace[] {
  const sheets = sheetsFor(facts)
  const all = doorsInOrder(facts).flatMap((door) =>
    accessPlaces(door, sheets)
      .filter((p) => p.cards && door.placement)
      .map(({ part }) => ({ door, part: part.id, may: part.enrols === true })),
  )
  return [...all.filter((p) => p.may), ...all.filter((p) => !p.may)]
}

/** Why nothing is heard from a reader, or null. */
function deafness(facts: Facts, { door }: EnrolmentPlace): string | null {
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return 'The door is on no controller yet.'
  const { reach } = marksFor(facts, door)
  if (reach.sign !== 'given') return `Nothing is heard from it now: ${reach.says}`
  return configsOf(facts)(controller.id).known
    ? null
    : `${controller.ref} has not been loaded: it does not know yet which door this reader belongs to.`
}

export function EnrolReader({
  place,
  onChoose,
  onWrong,
}: {
  place: EnrolmentPlace | undefined
  onChoose: (place: EnrolmentPlace) => void
  onWrong: (says: string) => void
}) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const readers = everyReader(facts)
  const choose = async (key: string) => {
    const next = readers.find((p) => keyOf(p) === key)
    if (!next) return
    // Chosen once, a reader may be used from then on; on the door's page that is taken back.
    if (!next.door.parts.find((p) => p.id === next.part)?.enrols)
      await send('part.enrols', { door: next.door.id, part: next.part, may: true }).catch((e: unknown) =>
        onWrong(saysOf(e)),
      )
    onChoose(next)
  }
  const part = place?.door.parts.find((p) => p.id === place.part)
  const sheet = part && sheetOf(sheetsFor(facts), part.sheet)
  const deaf = place && deafness(facts, place)
  return (
    <Sheet title="At which reader">
      {deaf ? <Notice tone="ochre">{deaf}</Notice> : null}
      <Pick
        label="Reader"
        value={place ? keyOf(place) : ''}
        options={[
          ...(place ? [] : [{ value: '', label: 'Choose a reader' }]),
          ...readers.map((p) => ({ value: keyOf(p), label: `${p.door.ref} ${p.part}, ${p.door.name}` })),
        ]}
        onChange={(key) => {
          void choose(key)
        }}
      />
      {part && sheet ? (
        <View>
          <T tone="quiet">{`${sheet.name}, reads ${readsWords(facts, part)}`}</T>
          {(sheet.lamps ?? []).map((l) => (
            <T key={l.lamp} size={13} tone="quiet">{`${l.lamp}: ${l.means}`}</T>
          ))}
        </View>
      ) : null}
    </Sheet>
  )
}

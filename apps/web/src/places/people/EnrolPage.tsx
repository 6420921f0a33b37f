import {
  blockerOf,
  cardName,
  enrolmentPlaces,
  formatName,
  holdingOf,
  jobOf,
  nextNumber,
  readIn,
  type CardChoice,
  type EnrolmentPlace,
  type Person,
  type ReadIn,
  type StoredCard,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { peopleInOrder } from '../../state/inOrder'
import { newestHeard } from '../../state/heard'
import { useFacts, useJob } from '../../state/job'
import { clockTime } from '../../state/time'
import { DeskReader } from './DeskReader'
import { EnrolReader, useReaderChoice } from './EnrolReader'
import { Holder } from './Holder'
import { Strange } from './Strange'

/** Somebody who has no card that is in use: they come first where cards are read in. */
const waitsForCard = (person: Person): boolean => !person.cards.some((c) => c.state === 'in use')

/** A card at hand: read at the reader, or typed. */
interface AtHand {
  key: string
  card: StoredCard
  at: number | null
}

/** Cards are read in at a chosen reader, one person after the other. @param first whoever is first */
export function EnrolPage({ first }: { first?: string | undefined }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const { place, choose } = useReaderChoice(enrolmentPlaces(facts, sheetsFor(facts)))
  const [since, setSince] = useState(() => newestHeard(facts))
  const [typed, setTyped] = useState<AtHand | null>(null)
  const [kept, setKept] = useState<Record<string, StoredCard>>({})
  const [aside, setAside] = useState<readonly string[]>([])
  const [who, setWho] = useState(first ?? '')
  const [given, setGiven] = useState<readonly string[]>([])
  const [wrong, setWrong] = useState('')

  const reads = place ? readIn(facts, place, since) : []
  const person = facts.person[who] ?? peopleInOrder(facts).find(waitsForCard)
  const open = reads.filter((r) => !aside.includes(r.id))
  const atHand = typed ?? cardAtHand(open[0], kept)
  const strange = !typed && open[0] && !atHand ? open[0] : null

  const done = (says: string) => {
    setGiven([says, ...given].slice(0, 20))
    // What was read before is the next person's card by nobody's word: it stands in the list of what is still open.
    setAside(reads.map((r) => r.id))
    setTyped(null)
    setWho('')
    setWrong('')
  }
  const act = (doing: Promise<unknown>, says: string) =>
    doing.then(() => done(says)).catch((e: unknown) => setWrong(saysOf(e)))
  const give = (to: Person, card: StoredCard) =>
    act(send('card.give', { person: to.id, card: { id: v7(), ...card } }), `${cardName(card)} is ${to.name}’s now.`)
  const putAside = () => {
    if (atHand) setAside([...aside, atHand.key])
    else if (strange) setAside([...aside, strange.id])
    setTyped(null)
  }
  const holding = atHand ? holdingOf(facts, atHand.card) : null
  const free = atHand && holding?.of === 'nobody' ? atHand : null
  const chooseReader = (next: EnrolmentPlace) => {
    choose(next)
    setSince(newestHeard(facts))
    setAside([])
  }
  return (
    <Screen
      title="Read cards in"
      under={place ? `${place.door.ref} ${place.part}, ${place.door.name}` : 'Choose a reader first'}
      bar={
        free && person ? (
          <>
            <Action label={`Give it to ${person.name}`} onPress={() => give(person, free.card)} />
            <Action kind="plain" label="Put this card aside" onPress={putAside} />
          </>
        ) : atHand || strange ? (
          <Action kind="plain" label="Put this card aside" onPress={putAside} />
        ) : null
      }
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {given[0] ? <Notice tone="verdigris">{given[0]}</Notice> : null}
      <Sheet title={atHand ? 'This card' : strange ? 'What came' : 'Present the card'}>
        {atHand && holding ? (
          <>
            <CardNumber card={atHand.card} />
            <Holder
              holding={holding}
              person={person}
              onPass={(from, card, to) =>
                act(
                  send('card.pass', { from: from.id, card, to: to.id }),
                  `${cardName(atHand.card)} went from ${from.name} to ${to.name}.`,
                )
              }
              onFound={(of, card) =>
                act(
                  send('card.state', { person: of.id, card, state: 'in use' }),
                  `${cardName(atHand.card)} of ${of.name} is in use again.`,
                )
              }
            />
          </>
        ) : strange && place ? (
          <Strange
            read={strange}
            place={place}
            onKeep={(choice: CardChoice) => setKept({ ...kept, [strange.id]: choice.card })}
          />
        ) : (
          <T>
            {place
              ? `Hold ${person ? `${person.name}’s card` : 'it'} at ${place.part} of ${place.door.ref}. Its number comes here.`
              : 'No reader is chosen.'}
          </T>
        )}
        {free ? <SomebodyNew card={free.card} onAct={act} /> : null}
      </Sheet>
      <Who person={person} onChoose={setWho} />
      <EnrolReader place={place} onChoose={chooseReader} onWrong={setWrong} />
      <DeskReader onCard={(card) => setTyped({ key: `typed ${cardName(card)}`, card, at: null })} />
      <Unkept
        reads={reads}
        now={open[0]?.id ?? ''}
        kept={kept}
        onTake={(id) => setAside(reads.flatMap((r) => (r.id === id ? [] : [r.id])))}
      />
    </Screen>
  )
}

function cardAtHand(read: ReadIn | undefined, kept: Readonly<Record<string, StoredCard>>): AtHand | null {
  const card = read && (kept[read.id] ?? read.card)
  return read && card ? { key: read.id, card, at: read.at } : null
}

const CardNumber = ({ card }: { card: StoredCard }) => (
  <View role="status" aria-label={`Card ${cardName(card)}`}>
    <T face="mono" size={28}>
      {cardName(card)}
    </T>
    <T tone="quiet">{formatName(card.format)}</T>
  </View>
)

/** A card that is nobody's may begin a new person. */
function SomebodyNew({ card, onAct }: { card: StoredCard; onAct: (doing: Promise<unknown>, says: string) => unknown }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [name, setName] = useState('')
  const number = nextNumber(facts)
  const add = () =>
    onAct(
      send('person.put', {
        id: v7(),
        number,
        name: name.trim(),
        cards: [{ id: v7(), ...card, state: 'in use' }],
        groups: [],
      }),
      `${cardName(card)} is ${name.trim()}’s now: number ${number}, in no group yet.`,
    )
  return (
    <>
      <Field label="Somebody who is not in the job yet" value={name} onChange={setName} hint="First and last name" />
      {name.trim() ? <Action kind="plain" label={`Add ${name.trim()} with it`} aside={number} onPress={add} /> : null}
    </>
  )
}

/** For whom the next card is: who has none comes first, anybody can be found. */
function Who({ person, onChoose }: { person: Person | undefined; onChoose: (id: string) => void }) {
  const facts = useFacts()
  const [find, setFind] = useState('')
  const text = find.trim().toLowerCase()
  const everybody = peopleInOrder(facts)
  const waiting = everybody.filter(waitsForCard)
  const shown = (text ? everybody.filter((p) => `${p.number} ${p.name}`.toLowerCase().includes(text)) : waiting)
    .filter((p) => p.id !== person?.id)
    .slice(0, 5)
  const blocker = person && blockerOf(facts, person, Date.now())
  return (
    <Sheet title="For whom">
      {person ? (
        <View>
          <T face="strong" size={22}>
            {person.name}
          </T>
          <T tone="quiet">
            {[person.number, blocker && blocker.code !== 'noCard' ? blocker.says : ''].filter(Boolean).join(' · ')}
          </T>
        </View>
      ) : (
        <T>Everybody has a card. Find somebody, or add somebody new with the card.</T>
      )}
      <Field label="Somebody else" value={find} onChange={setFind} hint="Name or number" />
      <View role="group" aria-label={text ? 'Found' : 'Without a card'} style={{ marginHorizontal: -16 }}>
        {shown.map((p) => (
          <Line
            key={p.id}
            label={p.name}
            onPress={() => {
              onChoose(p.id)
              setFind('')
            }}
          >
            <T>{p.name}</T>
            <T size={13} tone="quiet">
              {waitsForCard(p) ? 'no card' : p.cards.map(cardName).join(', ')}
            </T>
          </Line>
        ))}
      </View>
      {text ? null : <T size={13} tone="quiet">{`${waiting.length} without a card`}</T>}
    </Sheet>
  )
}

/** Cards that were read here and are still nobody's: none of them is forgotten. */
function Unkept({
  reads,
  now,
  kept,
  onTake,
}: {
  reads: readonly ReadIn[]
  now: string
  kept: Readonly<Record<string, StoredCard>>
  onTake: (id: string) => void
}) {
  const facts = useFacts()
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const open = reads
    .map((read) => ({ read, card: kept[read.id] ?? read.card }))
    .filter(({ read, card }) => read.id !== now && (card === null || holdingOf(facts, card).of === 'nobody'))
  if (open.length === 0) return null
  return (
    <Sheet flush title="Read, and nobody’s yet">
      {open.map(({ read, card }) => (
        <Line key={read.id} label={`Take ${card ? cardName(card) : 'what came'} again`} onPress={() => onTake(read.id)}>
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <T face="mono">{card ? cardName(card) : 'another format'}</T>
            <T size={13} tone="quiet">
              {clockTime(read.at, zone)}
            </T>
          </View>
        </Line>
      ))}
    </Sheet>
  )
}

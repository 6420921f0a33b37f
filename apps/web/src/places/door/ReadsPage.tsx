import {
  accessPlaces,
  bitsFromHex,
  bitsFromText,
  cardName,
  cardSent,
  detect,
  detectionWords,
  formatName,
  isSetTo,
  keptBest,
  keptChoices,
  mendWords,
  nextStepWords,
  printedIn,
  readersLike,
  readingName,
  readsAt,
  readsWords,
  sendingOf,
  sendings,
  sendingWords,
  settingFor,
  vouchedFor,
  type Bits,
  type CardFormat,
  type Door,
  type EnrolmentPlace,
  type Facts,
  type Part,
  type Sending,
  type Setting,
  type Shown,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useMemo, useState, type ReactNode } from 'react'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { counted } from '../../parts/count'
import { Field } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PunchedTape } from '../../signs/PunchedTape'
import { saysOf } from '../../state/api'
import { newestHeard } from '../../state/heard'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { configsOf, marksFor } from '../../state/worked'
import { Missing } from '../shell/Missing'

/** What was read shortly before somebody came here counts too: most often it is why they come. */
const lookBackMs = 15 * 60_000

/** A card at hand: what came, and what is typed of what stands on it. */
interface AtHand {
  key: string
  bits: Bits
  by: 'reader' | 'hand'
}

/** How a reader sends: from cards that are shown to it, and what stands on them. @param part of the door; its first reader where it is not said */
export function ReadsPage({ id, part }: { id: string; part?: string | undefined }) {
  const facts = useFacts()
  const door = facts.door[id]
  const readers = door ? accessPlaces(door, sheetsFor(facts)).filter((p) => p.cards) : []
  const [chosen, setChosen] = useState(part ?? '')
  const reader = (readers.find((r) => r.part.id === chosen) ?? readers[0])?.part
  if (!door) return <Missing what="door" which={id} />
  if (!reader)
    return (
      <Screen mono={door.ref} title="What its readers send">
        <Notice tone="slate">Nothing at this door reads cards.</Notice>
      </Screen>
    )
  return (
    <Reads
      key={reader.id}
      door={door}
      reader={reader}
      choice={
        readers.length > 1 ? (
          <Chips
            label="Reader"
            value={reader.id}
            options={readers.map((r) => ({ value: r.part.id, label: r.part.id }))}
            onChange={setChosen}
          />
        ) : null
      }
    />
  )
}

function Reads({ door, reader, choice }: { door: Door; reader: Part; choice: ReactNode }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const place: EnrolmentPlace = { door, part: reader.id }
  const [since, setSince] = useState(() => newestHeard(facts) - lookBackMs)
  const [typed, setTyped] = useState<Record<string, string>>({})
  const [out, setOut] = useState<readonly string[]>([])
  const [byHand, setByHand] = useState<readonly AtHand[]>([])
  const [picked, setPicked] = useState(0)

  const heard = readsAt(facts, place, since).map((r): AtHand => ({ key: r.bits.join(''), bits: r.bits, by: 'reader' }))
  const kept = [...heard, ...byHand].filter((c) => !out.includes(c.key))
  // Cards of one kind are looked at together: those that are as long as the newest.
  const cards = kept.filter((c) => c.bits.length === kept.at(-1)?.bits.length).slice(-mostCards)
  const formats = sendings(facts)
  const looked = cards.map((c) => `${c.key} ${typed[c.key] ?? ''}`).join('\n')
  // Worked out anew for other cards, other words or other formats; not for whatever else is heard meanwhile.
  // eslint-disable-next-line react-hooks/exhaustive-deps -- `looked` is all that the cards say
  const shown = useMemo(() => shownAs(cards, typed, formats), [looked, formats])
  const found = useMemo(() => detect(shown, formats), [shown, formats])
  const sending = found.sendings[picked] ?? found.sendings[0]
  const [wanted, setWanted] = useState<Partial<Making>>({})
  const [wrong, setWrong] = useState('')
  const told = sending && cards.length > 0 && found.next?.ask !== 'printed' ? vouchedFor(facts, sending, shown) : null
  const making: Making = {
    name: wanted.name ?? `${cards[0]?.bits.length ?? 0} bits at ${door.ref}`,
    keeps: told ? (keptChoices(told).find((k) => k === wanted.keeps) ?? keptBest(facts, told)) : '',
    all: wanted.all ?? false,
  }
  const like = readersLike(facts, sheetsFor(facts), place)
  const setting = told && settingFor(facts, told, making.name, making.keeps)
  const untold = marksFor(facts, door).plan.findings.find((f) => f.grade === 'stop' && f.at === reader.id)
  const anew = () => {
    setSince(newestHeard(facts))
    setByHand([])
    setOut([])
    setPicked(0)
  }
  return (
    <Screen
      mono={door.ref}
      title={`What ${reader.id} sends`}
      under={`Set to ${readsWords(facts, reader)}`}
      columns
      bar={
        setting && canFit(me) ? (
          <SetBar
            place={place}
            reader={reader}
            setting={setting}
            others={making.all ? like : []}
            certain={found.state === 'certain'}
            onWrong={setWrong}
          />
        ) : null
      }
    >
      {choice ? <View style={{ paddingHorizontal: 16, paddingTop: 12 }}>{choice}</View> : null}
      {untold ? <Notice tone="madder">{untold.says}</Notice> : null}
      {cards.length === 0 ? (
        <Notice tone="slate">{`Show a card to ${reader.id}. Its bits come here.`}</Notice>
      ) : (
        <Notice tone={found.state === 'certain' ? 'verdigris' : found.state === 'likely' ? 'slate' : 'ochre'}>
          {found.state === 'likely' && sending && picked > 0
            ? `If it is ${sendingWords(sending)}: ${found.next ? nextStepWords(found.next) : ''}`
            : detectionWords(found, reader.id)}
        </Notice>
      )}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {cards.length < kept.length ? (
        <Notice tone="slate">{`${counted(kept.length - cards.length, 'card')} of another length left aside.`}</Notice>
      ) : null}
      {sending && mendWords(sending) ? <Notice tone="madder">{mendWords(sending)}</Notice> : null}
      {/* The card that was shown last is the one at hand. */}
      {[...cards.entries()].reverse().map(([i, card]) => (
        <OneCard
          key={card.key}
          n={i + 1}
          card={card}
          reader={reader}
          sending={sending}
          says={readAs(sending, i)}
          odd={found.odd === i}
          typed={typed[card.key] ?? ''}
          onTyped={(text) => setTyped({ ...typed, [card.key]: text })}
          onOut={() => setOut([...out, card.key])}
        />
      ))}
      {told && setting && !isSetTo(reader, setting) ? (
        <HowSet like={like.length} sending={told} made={!!setting.own} making={making} onChange={setWanted} />
      ) : null}
      {found.sendings.length > 1 ? (
        <Sheet title="It may be">
          <Pick
            label="How it sends"
            value={String(Math.min(picked, found.sendings.length - 1))}
            options={found.sendings.map((s, i) => ({ value: String(i), label: sendingWords(s) }))}
            onChange={(v) => setPicked(Number(v))}
          />
        </Sheet>
      ) : null}
      <BitsByHand onBits={(bits) => setByHand([...byHand, { key: bits.join(''), bits, by: 'hand' }])} />
      {cards.length > 0 ? (
        <Sheet>
          <Action kind="plain" label="Begin with other cards" onPress={anew} />
        </Sheet>
      ) : null}
    </Screen>
  )
}
const mostCards = 6

/** A card's number by a way of sending. */
const readAs = (sending: Sending | undefined, i: number): string => {
  const card = sending?.cards[i]
  return card ? readingName(card) : ''
}

/** Digits may be a number or a serial number: what stands in the bits is what was meant. */
function shownAs(
  cards: readonly AtHand[],
  typed: Readonly<Record<string, string>>,
  formats: readonly CardFormat[],
): Shown[] {
  const ways = cards.map((c) => printedIn(typed[c.key] ?? ''))
  const by = (n: number) =>
    cards.map((c, i): Shown => ({ bits: c.bits, printed: ways[i]?.[n] ?? ways[i]?.[0] ?? null }))
  const first = by(0)
  if (!ways.some((w) => w.length > 1) || detect(first, formats).sendings.length > 0) return first
  return by(1)
}

function OneCard({
  n,
  card,
  reader,
  sending,
  says,
  odd,
  typed,
  onTyped,
  onOut,
}: {
  n: number
  card: AtHand
  reader: Part
  sending: Sending | undefined
  says: string
  odd: boolean
  typed: string
  onTyped: (text: string) => void
  onOut: () => void
}) {
  const facts = useFacts()
  const now = cardSent(sendingOf(facts, reader.format), reader.order, card.bits)
  const wrong =
    typed.trim() && printedIn(typed).length === 0 ? 'Write 61 04417, a number alone, or 04 A1 B2 C3.' : undefined
  return (
    <Sheet title={`Card ${n}: ${card.bits.length} bits${card.by === 'hand' ? ', by hand' : ''}`}>
      <PunchedTape bits={card.bits} sending={sending} />
      <View role="status">
        {says ? (
          <T face="mono" size={22}>
            {says}
          </T>
        ) : null}
        <T size={13} tone={now ? 'quiet' : 'ochre'}>
          {now
            ? `As ${reader.id} is set: ${cardName(now)}, ${formatName(now.format)}`
            : `As ${reader.id} is set, it is no card.`}
        </T>
      </View>
      {odd ? <Notice tone="ochre">This one does not fit the others.</Notice> : null}
      <Field
        label={`What stands on card ${n}`}
        value={typed}
        onChange={onTyped}
        mono
        hint="61 04417, or 04 A1 B2 C3"
        error={wrong}
      />
      <Action kind="plain" label={`Leave card ${n} out`} onPress={onOut} />
    </Sheet>
  )
}

/** Bits that came elsewhere: from another controller, or from a tester on the data lines. */
function BitsByHand({ onBits }: { onBits: (bits: Bits) => void }) {
  const [text, setText] = useState('')
  const plain = text.trim()
  const bits = /^[01\s_]+$/.test(plain) ? bitsFromText(plain) : bitsFromHex(plain)
  return (
    <Sheet title="Bits from elsewhere">
      <Field
        label="What a tester or another controller shows"
        value={text}
        onChange={setText}
        mono
        hint="0 and 1, or hexadecimal"
        error={plain && !bits ? 'Write 0 and 1, or hexadecimal digits; 256 bits at most.' : undefined}
      />
      {bits && bits.length > 3 ? (
        <Action
          kind="plain"
          label={`Add ${bits.length} bits as a card`}
          onPress={() => {
            onBits(bits)
            setText('')
          }}
        />
      ) : null}
    </Sheet>
  )
}

/** How it would be set: what is made for it, and for which readers. */
interface Making {
  name: string
  keeps: string
  all: boolean
}

/** What its cards are kept as, the name of what has to be made, and the other readers of its type. */
function HowSet({
  like,
  sending,
  made,
  making,
  onChange,
}: {
  /** How many other readers are of its type. */
  like: number
  sending: Sending
  made: boolean
  making: Making
  onChange: (making: Making) => void
}) {
  const choices = keptChoices(sending)
  if (choices.length < 2 && !made && like === 0) return null
  return (
    <Sheet title="How it is set">
      {choices.length > 1 ? (
        <Pick
          label="Its cards are kept as"
          value={making.keeps}
          options={choices.map((k) => ({ value: k, label: formatName(k) }))}
          onChange={(keeps) => onChange({ ...making, keeps })}
        />
      ) : null}
      {made ? (
        <Field
          label="Name of this card format"
          value={making.name}
          onChange={(name) => onChange({ ...making, name })}
        />
      ) : null}
      {like > 0 ? (
        <Tick
          label={`Also the other ${like} readers of its type`}
          on={making.all}
          onPress={() => onChange({ ...making, all: !making.all })}
        />
      ) : null}
    </Sheet>
  )
}

/** The one action: the reader is set, loaded, or proved. */
function SetBar({
  place,
  reader,
  setting,
  others,
  certain,
  onWrong,
}: {
  place: EnrolmentPlace
  reader: Part
  setting: Setting
  /** Set so as well. */
  others: readonly EnrolmentPlace[]
  certain: boolean
  onWrong: (says: string) => void
}) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const controller = facts.controller[place.door.placement?.controller ?? '']
  if (isSetTo(reader, setting))
    return controller && !isHeld(facts, place.door, controller.id) ? (
      <Action label={`${reader.id} is set so. Load it`} aside={controller.ref} onPress={() => router.push('/load')} />
    ) : (
      <Action
        label={`${reader.id} is set so. Prove it`}
        aside={place.door.ref}
        onPress={() => router.push(`/doors/${place.door.id}/prove`)}
      />
    )
  const set = () => {
    const readers = [place, ...others].map((p) => ({ door: p.door.id, part: p.part }))
    return send('readers.set', { readers, ...setting })
      .then(() => onWrong(''))
      .catch((e: unknown) => onWrong(saysOf(e)))
  }
  return (
    <Action
      label={`Set ${others.length ? `${others.length + 1} readers` : reader.id} so`}
      {...(certain ? {} : { aside: 'likely, not certain' })}
      onPress={set}
    />
  )
}

/** Whether the controller holds what the job wants of how this door's readers are read. */
function isHeld(facts: Facts, door: Door, controller: string): boolean {
  const { known, differences } = configsOf(facts)(controller)
  return known && !differences().some((d) => d.key === `terminals/${door.id}` || d.key.startsWith('cardFormat/'))
}

import {
  accessPlaces,
  chainOf,
  isKind,
  isReaderOrder,
  orderNames,
  readerOrders,
  sendings,
  sheetOf,
  usualFormat,
  type Door,
  type Part,
  type ReaderOrder,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Notice, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'

/** What few doors need: card formats, parts with a supply of their own, and resistors of supervised pairs. */
export function Particulars({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const fed = door.parts.filter((p) => sheetOf(sheetsFor(facts), p.sheet).leads.some((l) => l.kind === 'supply+'))
  const controller = facts.controller[door.placement?.controller ?? '']
  const supervised = controller && sheetsFor(facts)[controller.sheet]?.controller?.supervised
  const readers = accessPlaces(door, sheetsFor(facts)).filter((place) => place.cards)
  if (fed.length === 0 && readers.length === 0 && !supervised) return null
  return (
    <Sheet title="Particulars">
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {fed.map((p) => (
        <Tick
          key={p.id}
          label={`${p.id} ${sheetOf(sheetsFor(facts), p.sheet).name} has a supply of its own`}
          on={p.fed === 'own'}
          onPress={() =>
            send('part.feed', { door: door.id, part: p.id, own: p.fed !== 'own' })
              .then(() => setWrong(''))
              .catch((e: unknown) => setWrong(saysOf(e)))
          }
        />
      ))}
      {fed.map((p) => (
        <Through key={p.id} door={door} part={p} onWrong={setWrong} />
      ))}
      {readers.map(({ part }) => (
        <ReaderSends key={`${part.id}-format`} door={door} part={part} onWrong={setWrong} />
      ))}
      {readers.map(({ part }) => (
        <Tick
          key={`${part.id}-enrols`}
          label={`Cards may be read in at ${part.id}`}
          on={part.enrols === true}
          onPress={() =>
            send('part.enrols', { door: door.id, part: part.id, may: !part.enrols })
              .then(() => setWrong(''))
              .catch((e: unknown) => setWrong(saysOf(e)))
          }
        />
      ))}
      {supervised ? (
        <Ends
          key={JSON.stringify(door.ends ?? null)}
          door={door}
          onWrong={setWrong}
          says={`${controller.ref} takes under ${supervised.shortBelow} Ω for a short, under ${supervised.closedBelow} Ω for closed, up to ${supervised.cutAbove} Ω for open, more for cut.`}
        />
      ) : null}
    </Sheet>
  )
}

/** How a reader's bits are read: chosen, where it is known; found out from cards, where it is not. */
function ReaderSends({ door, part, onWrong }: { door: Door; part: Part; onWrong: (says: string) => void }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const format = part.format ?? usualFormat
  const order = part.order ?? 'asSent'
  const set = (next: { format?: string; order?: ReaderOrder }) => {
    send('part.format', { door: door.id, part: part.id, format, order, ...next })
      .then(() => onWrong(''))
      .catch((e: unknown) => onWrong(saysOf(e)))
  }
  return (
    <View style={{ gap: 4 }}>
      <Pick
        label={`Cards that ${part.id} reads`}
        value={format}
        options={sendings(facts).map((f) => ({ value: f.id, label: f.name }))}
        onChange={(v) => set({ format: v })}
      />
      <Pick
        label={`Order of what ${part.id} sends`}
        value={order}
        options={readerOrders.map((o) => ({ value: o, label: orderNames[o] }))}
        onChange={(v) => (isReaderOrder(v) ? set({ order: v }) : undefined)}
      />
      <Action
        kind="plain"
        label={`What does ${part.id} send?`}
        aside="from a card"
        onPress={() => router.push(`/doors/${door.id}/reads?part=${part.id}`)}
      />
    </View>
  )
}

/** A converter between a reader and the controller, and how the two are joined. */
function Through({ door, part, onWrong }: { door: Door; part: Part; onWrong: (says: string) => void }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const sheets = sheetsFor(facts)
  const converters = Object.values(sheets).filter((s) => isKind(s, 'converter'))
  if (converters.length === 0 || !isKind(sheetOf(sheets, part.sheet), 'reader')) return null
  return (
    <View style={{ gap: 4 }}>
      <Pick
        label={`${part.id} goes to the controller`}
        value={part.via ?? ''}
        options={[
          { value: '', label: 'straight' },
          ...converters.map((c) => ({ value: c.id, label: `through: ${c.name}` })),
        ]}
        onChange={(v) => {
          send('part.via', { door: door.id, part: part.id, via: v || null })
            .then(() => onWrong(''))
            .catch((e: unknown) => onWrong(saysOf(e)))
        }}
      />
      {chainOf(part, sheets).map((c) => (
        <T
          key={c.lead.id}
          size={13}
          tone={c.terminal || c.lead.kind === 'led' ? 'quiet' : 'madder'}
        >{`${c.lead.name}, ${c.lead.colour || 'no colour'}: ${c.terminal ? `screw ${c.terminal} of the converter` : c.lead.kind === 'led' ? 'insulate it' : 'no screw'}`}</T>
      ))}
    </View>
  )
}

function Ends({ door, onWrong, says }: { door: Door; onWrong: (says: string) => void; says: string }) {
  const send = useJob((s) => s.send)
  const [series, setSeries] = useState(String(door.ends?.seriesOhm ?? ''))
  const [parallel, setParallel] = useState(String(door.ends?.parallelOhm ?? ''))
  const [at, setAt] = useState<'device' | 'controller'>(door.ends?.at ?? 'device')
  const keep = () => {
    const [seriesOhm, parallelOhm] = [series, parallel].map(numberIn)
    if (seriesOhm == null || parallelOhm == null) {
      onWrong('Write both resistors in ohms, for example 1000 and 2200.')
      return undefined
    }
    return send('door.edit', { id: door.id, fields: { ends: { seriesOhm, parallelOhm, at } } })
      .then(() => onWrong(''))
      .catch((e: unknown) => onWrong(saysOf(e)))
  }
  return (
    <View style={{ gap: 8 }}>
      <T face="mid">End resistors of its contacts</T>
      <T size={13} tone="quiet">
        {says}
      </T>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label="In series, Ω" value={series} onChange={setSeries} keyboard="numeric" mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="Across the contact, Ω" value={parallel} onChange={setParallel} keyboard="numeric" mono />
        </View>
      </View>
      <Chips
        label="They sit"
        value={at}
        onChange={setAt}
        options={[
          { value: 'device', label: 'At the contact' },
          { value: 'controller', label: 'At the controller' },
        ]}
      />
      <Action kind="plain" label="Save the resistors" onPress={keep} />
    </View>
  )
}

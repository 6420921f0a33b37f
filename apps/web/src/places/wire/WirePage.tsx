import { boardOf, cableName, expectedReading, inCurrentOrder, judgeReading, netOf, newestReading, readingName, readingsFor, sheetOf, type Cable, type Door, type ReadingKind } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { DoorDrawing } from '../../signs/DoorDrawing'
import { wireColours } from '../../signs/wireColours'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { useGround } from '../../theme'
import { Missing } from '../shell/Missing'

/** Wiring a door: the drawing, one cable at a time with its ticks and readings, and every conductor as a table. */
export function WirePage({ id, part }: { id: string; part?: string }) {
  const facts = useFacts()
  const door = facts.door[id]
  const firstOpen = door?.cables.find((c) => !facts.tick[`${id}/${c.id}`]?.tested) ?? door?.cables[0]
  const [chosen, setChosen] = useState<string>(door?.cables.find((c) => c.part === part)?.id ?? firstOpen?.id ?? '')
  if (!door) return <Missing what="door" which={id} />
  const controller = facts.controller[door.placement?.controller ?? '']
  const cable = door.cables.find((c) => c.id === chosen)
  const done = door.cables.filter((c) => facts.tick[`${id}/${c.id}`]?.tested).length
  if (!controller) return <Screen mono={door.ref} title="Wire" under={door.name} bar={<Action label="Place the door" onPress={() => router.push(`/doors/${id}/plan`)} />}><Notice tone="slate">The door is on no controller yet, so no conductor has an end.</Notice></Screen>
  return (
    <Screen mono={door.ref} title={door.name} under={`${done} of ${door.cables.length} cables tested · ${controller.ref} in ${controller.cabinet}`} bar={<NextBar door={door} chosen={chosen} onChoose={setChosen} />}>
      <Sheet flush><DoorDrawing door={door} controller={controller} from={facts.area[door.from]?.name ?? ''} to={facts.area[door.to]?.name ?? ''} layer="conductors" chosen={cable?.part ?? null} onPart={(p) => setChosen(door.cables.find((c) => c.part === p)?.id ?? chosen)} /></Sheet>
      <View style={{ padding: 16, paddingBottom: 0 }}><Chips label="Cable" value={chosen} onChange={setChosen} options={door.cables.map((c) => ({ value: c.id, label: `${c.id} ${c.part}${facts.tick[`${id}/${c.id}`]?.tested ? ' ·' : ''}` }))} /></View>
      {cable ? <CableCard key={cable.id} door={door} cable={cable} /> : null}
      <Conductors door={door} chosen={cable?.id ?? ''} />
      <Sheet><Action kind="plain" label={`Check off cabinet of ${controller.ref}`} onPress={() => router.push(`/controllers/${controller.id}`)} /></Sheet>
    </Screen>
  )
}

function NextBar({ door, chosen, onChoose }: { door: Door; chosen: string; onChoose: (cable: string) => void }) {
  const facts = useFacts()
  const list = door.cables
  const at = list.findIndex((c) => c.id === chosen)
  const open = [...list.slice(at + 1), ...list.slice(0, at)].find((c) => !facts.tick[`${door.id}/${c.id}`]?.tested)
  return open ? <Action label="Next cable" aside={`${open.id} ${open.part}`} onPress={() => onChoose(open.id)} /> : <Action label="To the door" onPress={() => router.push(`/doors/${door.id}`)} />
}

const ticks = ['pulled', 'ended', 'tested'] as const

function CableCard({ door, cable }: { door: Door; cable: Cable }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const tick = facts.tick[`${door.id}/${cable.id}`]
  const name = sheetOf(sheetsFor(facts), door.parts.find((p) => p.id === cable.part)?.sheet ?? '').name
  return (
    <Sheet>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <T face="strong" size={17}>{`${cable.id} ${name} ${cable.part}`}</T>
          <T tone="quiet">{cableName(cable.type)}</T>
          <T tone="quiet">{cable.lengthM ? `${cable.lengthM} m` : 'No length yet: nothing to judge a reading by'}</T>
        </View>
        {ticks.map((what) => <Tick key={what} under label={what} on={!!tick?.[what]} onPress={() => send('tick.set', { door: door.id, cable: cable.id, what, done: !tick?.[what] }).catch((e: unknown) => setWrong(saysOf(e)))} />)}
      </View>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {readingsFor(door, cable.id).map((kind) => <ReadingLine key={kind} door={door} cable={cable} kind={kind} />)}
    </Sheet>
  )
}

function ReadingLine({ door, cable, kind }: { door: Door; cable: Cable; kind: ReadingKind }) {
  const facts = useFacts()
  const ground = useGround()
  const send = useJob((s) => s.send)
  const [text, setText] = useState('')
  const [wrong, setWrong] = useState('')
  const controller = facts.controller[door.placement?.controller ?? '']
  const expected = expectedReading(door, cable.id, kind, controller ? boardOf(sheetsFor(facts), controller) : null, sheetsFor(facts))
  const reading = newestReading(facts, door.id, cable.id, kind)
  const verdict = reading && expected ? judgeReading(reading.value, expected) : null
  const unit = kind === 'loop' ? 'Ω' : 'V'
  const keep = async () => {
    const value = numberIn(text)
    if (value === null) { setWrong(`A reading is a number of ${kind === 'loop' ? 'ohms' : 'volts'}, for example 1,14.`); return }
    try {
      await send('reading.add', { id: v7(), door: door.id, cable: cable.id, kind, value })
      setText('')
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <View style={{ borderLeftWidth: 4, borderColor: verdict ? (verdict.in ? ground.verdigris : ground.madder) : ground.line, paddingLeft: 12, gap: 4 }}>
      <T face="mid">{`${readingName(kind)}${expected ? `, ${expected.says}` : ''}`}</T>
      {reading ? <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 8, flexWrap: 'wrap' }}><T face="mono" size={22}>{reading.value.toFixed(2)}</T><T size={17}>{unit}</T>{expected ? <T tone="quiet">{`worked out ${expected.value.toFixed(2)} ${unit}`}</T> : null}</View> : expected ? <T tone="quiet">{`Should be ${expected.from.toFixed(2)} to ${expected.to.toFixed(2)} ${unit}`}</T> : null}
      {verdict ? <T tone={verdict.in ? 'verdigris' : 'madder'}>{verdict.says}</T> : null}
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end' }}>
        <View style={{ flex: 1 }}><Field label={`New ${readingName(kind)}, ${unit}`} value={text} onChange={setText} keyboard="decimal" mono error={wrong || undefined} onSubmit={() => { void keep() }} /></View>
        <View style={{ width: 110, marginBottom: wrong ? 26 : 0 }}><Action kind="plain" label="Enter" onPress={keep} /></View>
      </View>
    </View>
  )
}

/** Every conductor: the lock's circuit in the order in which the current runs, then the rest by terminal. */
function Conductors({ door, chosen }: { door: Door; chosen: string }) {
  const facts = useFacts()
  const ground = useGround()
  const controller = facts.controller[door.placement?.controller ?? '']
  if (!controller) return null
  const net = netOf(door, boardOf(sheetsFor(facts), controller), sheetsFor(facts))
  return (
    <Sheet flush title="Conductors, as the current runs">
      <View role="table" aria-label="Conductors">
        {inCurrentOrder(net.conductors).map((c) => (
          <View key={c.id} role="row" style={{ flexDirection: 'row', alignItems: 'center', minHeight: 40, paddingHorizontal: 16, gap: 8, borderTopWidth: 1, borderColor: ground.line, backgroundColor: c.cable === chosen ? ground.paper : ground.sheet }}>
            <View role="cell" style={{ width: 18 }}><View style={{ height: 8, backgroundColor: wireColours[c.colour] ?? ground.ink, borderWidth: 1, borderColor: ground.quiet }} /></View>
            <T role="cell" face="mono" size={13} style={{ width: 30 }}>{c.part}</T>
            <T role="cell" style={{ flex: 1 }}>{`${c.leadName}, ${c.colour}`}</T>
            <T role="cell" face="mono" size={13} tone="quiet" style={{ width: 30 }}>{c.cable}</T>
            <T role="cell" face="mono" size={17} style={{ width: 32, textAlign: 'right' }}>{c.terminal.id}</T>
            <T role="cell" face="mid" size={13} tone="quiet" style={{ width: 36 }}>{c.terminal.label}</T>
          </View>
        ))}
        {net.links.map((l) => <Line key={l.says}><T>{l.says}</T></Line>)}
      </View>
    </Sheet>
  )
}

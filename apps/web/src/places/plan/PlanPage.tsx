import { all, proposePlacement, sheetOf, wantsOf, cableName, type Door, type Terminal } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { Strip } from '../../signs/Strip'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { controllersInOrder, marksFor } from '../../state/worked'
import { Missing } from '../shell/Missing'

/** Placing a door: Rauta proposes the terminals, the strip shows them, any of them can be moved. */
export function PlanPage({ id }: { id: string }) {
  const facts = useFacts()
  const door = facts.door[id]
  if (!door) return <Missing what="door" which={id} />
  const findings = marksFor(facts, door).plan.findings
  const tone = { stop: 'madder', warn: 'ochre', note: 'slate' } as const
  return (
    <Screen mono={door.ref} title="Plan" under={door.name} bar={door.placement ? <Action label="To the door" onPress={() => router.push(`/doors/${door.id}`)} /> : null}>
      {findings.map((f) => <Notice key={f.says} tone={tone[f.grade]}>{f.says}</Notice>)}
      {door.placement ? <Placed door={door} /> : <Place door={door} />}
      <Lengths door={door} />
      <Sheet><Action kind="plain" label="Edit the door and its hardware" onPress={() => router.push(`/doors/${door.id}/edit`)} /></Sheet>
    </Screen>
  )
}

function Place({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const doors = all(facts, 'door')
  const place = (controller: string) => send('door.placeProposed', { id: door.id, controller }).catch((error: unknown) => setWrong(saysOf(error)))
  return (
    <Sheet flush title="Place it on a controller">
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {controllersInOrder(facts).length === 0 ? <View style={{ padding: 16, gap: 8 }}><T>No controller is planned yet.</T><Action kind="plain" label="Plan a controller" onPress={() => router.push('/controllers')} /></View> : null}
      {controllersInOrder(facts).map((c) => {
        const proposal = proposePlacement(door, c, sheetsFor(facts), doors)
        return (
          <View key={c.id} style={{ padding: 16, paddingTop: 8, gap: 6 }}>
            <T face="strong">{`${c.ref}, ${sheetOf(sheetsFor(facts), c.sheet).name}, ${c.cabinet}`}</T>
            {proposal.ok
              ? <><T tone="quiet">{`Proposed: port group ${proposal.placement.portGroup}, terminals ${[...new Set(Object.values(proposal.placement.terminals))].sort((a, b) => Number(a) - Number(b)).join(' ')}`}</T><Action label={`Place on ${c.ref}`} onPress={() => place(c.id)} /></>
              : <T tone="ochre">{proposal.says}</T>}
          </View>
        )
      })}
    </Sheet>
  )
}

/** The strip with what is on it; tap a lead, then the terminal it shall go to. */
function Placed({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [lead, setLead] = useState<string | null>(null)
  const [wrong, setWrong] = useState('')
  const placement = door.placement
  const controller = facts.controller[placement?.controller ?? '']
  if (!placement || !controller) return null
  const wants = wantsOf(door, sheetsFor(facts))
  const want = wants.find((w) => `${w.part}.${w.lead}` === lead)
  const move = async (terminal: Terminal) => {
    if (!lead) { setWrong('Tap a lead below first, then the terminal it shall go to.'); return }
    if (want && terminal.kind !== want.kind) { setWrong(`${lead.replace('.', ' ')} does not go on ${terminal.label}: it wants ${want.kind}.`); return }
    setWrong('')
    await send('door.place', { id: door.id, placement: { ...placement, terminals: { ...placement.terminals, [lead]: terminal.id } } }).catch((error: unknown) => setWrong(saysOf(error)))
    setLead(null)
  }
  return (
    <>
      <Sheet flush title={`On ${controller.ref}`}>
        {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
        {lead ? <Notice tone="slate">{`Tap the terminal for ${lead.replace('.', ' ')}. Those it fits are underlined.`}</Notice> : null}
        <Strip controller={controller} group={placement.portGroup} chosen={lead ? (placement.terminals[lead] ?? null) : null} onTerminal={(t) => { void move(t) }} fits={(t) => !!want && t.kind === want.kind} />
        <View style={{ padding: 16 }}><Action kind="plain" label={`Take off ${controller.ref}`} onPress={() => send('door.place', { id: door.id, placement: null })} /></View>
      </Sheet>
      <Sheet flush title="Leads">
        {wants.map((w) => {
          const key = `${w.part}.${w.lead}`
          const sheet = sheetOf(sheetsFor(facts), door.parts.find((p) => p.id === w.part)?.sheet ?? '')
          const about = sheet.leads.find((l) => l.id === w.lead)
          return <Line key={key} label={`Move ${w.part} ${about?.name ?? w.lead}`} onPress={() => setLead(lead === key ? null : key)}><View style={{ flexDirection: 'row' }}><T face="mono" style={{ width: 44 }}>{w.part}</T><T face={lead === key ? 'strong' : 'text'} style={{ flex: 1 }}>{`${about?.name ?? ''}, ${about?.colour ?? ''}`}</T><T face="mono">{placement.terminals[key] ?? 'none'}</T></View></Line>
        })}
      </Sheet>
    </>
  )
}

const cables = [
  { value: 'iec-2-0.75', label: '0.75 mm², class 2' }, { value: 'iec-2-1', label: '1.0 mm², class 2' }, { value: 'iec-2-1.5', label: '1.5 mm², class 2' }, { value: 'iec-2-2.5', label: '2.5 mm², class 2' },
  { value: 'iec-5-0.75', label: '0.75 mm², class 5' }, { value: 'iec-5-1', label: '1.0 mm², class 5' }, { value: 'iec-5-1.5', label: '1.5 mm², class 5' }, { value: 'awg-24', label: '24 AWG' }, { value: 'awg-22', label: '22 AWG' }, { value: 'awg-18', label: '18 AWG' },
]
type CableType = Door['cables'][number]['type']
const codeOf = (type: CableType) => (type.kind === 'awg' ? `awg-${type.gauge}` : `iec-${type.conductorClass}-${type.mm2}`)
function typeOf(code: string, cores: number): CableType {
  const [kind, a, b] = code.split('-')
  return kind === 'awg' ? { kind: 'awg', gauge: Number(a), cores } : { kind: 'iec', conductorClass: a === '5' ? 5 : 2, mm2: Number(b), cores }
}

function Lengths({ door }: { door: Door }) {
  if (door.cables.length === 0) return null
  return <Sheet title="Cables">{door.cables.map((c) => <CableLine key={`${c.id}-${c.lengthM}`} door={door} cable={c} />)}</Sheet>
}

function CableLine({ door, cable }: { door: Door; cable: Door['cables'][number] }) {
  const send = useJob((s) => s.send)
  const [length, setLength] = useState(cable.lengthM ? String(cable.lengthM) : '')
  const [wrong, setWrong] = useState('')
  const keep = async (type?: CableType) => {
    const lengthM = length.trim() === '' ? 0 : numberIn(length)
    if (lengthM === null || lengthM < 0) { setWrong(/ft|feet|'/.test(length) ? 'Lengths are in metres. 100 ft are 30.5 m.' : 'A length is a number of metres, 0 or more.'); return }
    try {
      await send('cable.set', { door: door.id, cable: cable.id, lengthM, ...(type ? { type } : {}) })
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <View style={{ gap: 4 }}>
      <T face="mid">{`${cable.id} to ${cable.part}: ${cableName(cable.type)}`}</T>
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'flex-start' }}>
        <View style={{ flex: 1 }}><Field label={`Length of ${cable.id}, m`} value={length} onChange={setLength} keyboard="decimal" mono error={wrong || undefined} onSubmit={() => { void keep() }} /></View>
        <View style={{ flex: 1 }}><Pick label={`Kind of ${cable.id}`} value={codeOf(cable.type)} options={cables} onChange={(code) => { void keep(typeOf(code, cable.type.cores)) }} /></View>
      </View>
      {length !== String(cable.lengthM || '') ? <Action kind="plain" label={`Keep ${cable.id}`} onPress={() => keep()} /> : null}
    </View>
  )
}

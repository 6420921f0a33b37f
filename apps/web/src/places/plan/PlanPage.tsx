import {
  all,
  cableName,
  nextRef,
  proposePlacement,
  runLengthM,
  sheetOf,
  unitWanted,
  type Door,
  type Proposal,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action } from '../../parts/Action'
import { cableKinds, codeOf, typeOf } from '../../parts/cableKinds'
import { counted } from '../../parts/count'
import { Field, numberIn } from '../../parts/Field'
import { Findings } from '../../parts/Findings'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { controllersInOrder, marksFor } from '../../state/worked'
import { useWide } from '../../theme'
import { UndoBar } from '../../parts/UndoBar'
import { Missing } from '../shell/Missing'
import { Particulars } from './Particulars'
import { useMoving } from './moving'
import { Placed, StripAtThumb } from './Placed'

/** Placing a door: Rauta proposes the terminals, the strip shows them, any of them can be moved. */
export function PlanPage({ id }: { id: string }) {
  const facts = useFacts()
  const door = facts.door[id]
  const moving = useMoving(door)
  const wide = useWide()
  if (!door) return <Missing what="door" which={id} />
  const inHand = !wide && moving.lead !== null && door.placement
  const findings = marksFor(facts, door).plan.findings
  return (
    <Screen
      columns
      mono={door.ref}
      title="Plan"
      under={door.name}
      bar={
        inHand ? (
          <StripAtThumb moving={moving} placement={inHand} />
        ) : door.placement ? (
          <Action label="To the door" onPress={() => router.push(`/doors/${door.id}`)} />
        ) : null
      }
    >
      <Findings list={findings} />
      {door.placement ? <Placed door={door} moving={moving} /> : <Place door={door} />}
      <Lengths door={door} />
      <Particulars door={door} />
      <Sheet>
        <Action
          kind="plain"
          label="Edit the door and its hardware"
          onPress={() => router.push(`/doors/${door.id}/edit`)}
        />
        <Action
          kind="plain"
          label="Add a door like this one"
          onPress={() => router.push(`/doors/new?like=${encodeURIComponent(door.id)}`)}
        />
        <UndoBar />
      </Sheet>
    </Screen>
  )
}

function Place({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const doors = all(facts, 'door')
  const sheets = sheetsFor(facts)
  const unit = unitWanted(door, sheets)
  const refs = controllersInOrder(facts).map((c) => c.ref)
  const unitRef = nextRef(refs.at(-1) ?? 'A0', refs)
  const tried = controllersInOrder(facts).map((controller) => ({
    controller,
    proposal: proposePlacement(door, controller, sheetsFor(facts), doors),
  }))
  const metres = (cabinet: string) => runLengthM(door, cabinet, facts.cabinetPlace)
  const fitting = tried
    .filter((t) => t.proposal.ok)
    .sort((a, b) => (metres(a.controller.cabinet) ?? Infinity) - (metres(b.controller.cabinet) ?? Infinity))
  const others = unit ? [] : tried.filter((t) => !t.proposal.ok)
  const place = (controller: string) =>
    send('door.placeProposed', { id: door.id, controller }).catch((error: unknown) => setWrong(saysOf(error)))
  const placeOnUnit = () =>
    send('door.placeOnUnit', { door: door.id, controller: v7(), ref: unitRef }).catch((error: unknown) =>
      setWrong(saysOf(error)),
    )
  return (
    <Sheet flush title="Place it on a controller">
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {unit && !fitting.some((t) => t.controller.sheet === unit.sheet) ? (
        <View style={{ padding: 16, paddingTop: 8, gap: 6 }}>
          <T>{`${unit.id} ${sheetOf(sheets, unit.sheet).name} drives the lock of its own door: the door is placed on the unit itself.`}</T>
          <Action kind="main" label={`Place on its own unit, ${unitRef}`} onPress={placeOnUnit} />
        </View>
      ) : null}
      {!unit && controllersInOrder(facts).length === 0 ? (
        <View style={{ padding: 16, gap: 8 }}>
          <T>No controller is planned yet.</T>
          <Action kind="plain" label="Plan a controller" onPress={() => router.push('/controllers')} />
        </View>
      ) : null}
      {fitting.map(({ controller: c, proposal }, i) => (
        <View key={c.id} style={{ padding: 16, paddingTop: 8, gap: 6 }}>
          <T face="strong">{`${c.ref}, ${sheetOf(sheetsFor(facts), c.sheet).name}, ${c.cabinet}`}</T>
          <T tone="quiet">{proposedWords(proposal)}</T>
          <Action
            kind={i === 0 ? 'main' : 'plain'}
            label={`Place on ${c.ref}`}
            {...(metres(c.cabinet) === null ? {} : { aside: `${Math.round(metres(c.cabinet) ?? 0)} m` })}
            onPress={() => place(c.id)}
          />
        </View>
      ))}
      {others.map(({ controller: c, proposal }) => (
        <View key={c.id} style={{ paddingHorizontal: 16, paddingBottom: 8 }}>
          <T>
            <T face="strong">{`${c.ref} `}</T>
            <T tone="ochre">{proposal.ok ? '' : proposal.says}</T>
          </T>
        </View>
      ))}
      <View style={{ padding: 16 }}>
        <Action kind="plain" label="Place all open doors at once" onPress={() => router.push('/siting')} />
      </View>
    </Sheet>
  )
}

function proposedWords(proposal: Proposal): string {
  if (!proposal.ok) return proposal.says
  const terminals = [...new Set(Object.values(proposal.placement.terminals))].sort((a, b) =>
    a.localeCompare(b, 'en', { numeric: true }),
  )
  return terminals.length
    ? `Proposed: door port ${proposal.placement.portGroup}, terminals ${terminals.join(' ')}`
    : 'Proposed: behind it, by radio or network; no terminal is needed.'
}

type CableType = Door['cables'][number]['type']

function Lengths({ door }: { door: Door }) {
  if (door.cables.length === 0) return null
  return (
    <Sheet title="Cables">
      {door.cables.map((c) => (
        <CableLine key={`${c.id}-${c.lengthM}`} door={door} cable={c} />
      ))}
    </Sheet>
  )
}

function CableLine({ door, cable }: { door: Door; cable: Door['cables'][number] }) {
  const send = useJob((s) => s.send)
  const [length, setLength] = useState(cable.lengthM ? String(cable.lengthM) : '')
  const [wrong, setWrong] = useState('')
  const keep = async (type?: CableType) => {
    const lengthM = length.trim() === '' ? 0 : numberIn(length)
    if (lengthM === null || lengthM < 0) {
      setWrong(
        /ft|feet|'/.test(length)
          ? 'Lengths are in metres. 100 ft are 30.5 m.'
          : 'A length is a number of metres, 0 or more.',
      )
      return
    }
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
        <View style={{ flex: 1 }}>
          <Field
            label={`Length of ${cable.id}, m`}
            value={length}
            onChange={setLength}
            keyboard="decimal"
            mono
            error={wrong || undefined}
            onSubmit={() => {
              void keep()
            }}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Pick
            label={`Kind of ${cable.id}`}
            value={codeOf(cable.type)}
            options={cableKinds}
            onChange={(code) => {
              void keep(typeOf(code, cable.type))
            }}
          />
        </View>
      </View>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Pick
            label={`Cores of ${cable.id}`}
            value={String(cable.type.cores)}
            options={[1, 2, 4, 6, 8, 10, 12, 16].map((n) => ({ value: String(n), label: counted(n, 'core') }))}
            onChange={(n) => {
              void keep({ ...cable.type, cores: Number(n) })
            }}
          />
        </View>
        <View style={{ flex: 1 }}>
          <Pick
            label={`Each conductor of ${cable.id}`}
            value={`${cable.type.perConductor ?? 1}${cable.type.clad ? 'a' : ''}`}
            options={[
              { value: '1', label: 'one core, copper' },
              { value: '2', label: 'two cores, copper' },
              { value: '3', label: 'three cores, copper' },
              { value: '1a', label: 'one core, clad aluminium' },
              { value: '2a', label: 'two cores, clad aluminium' },
            ]}
            onChange={(v) => {
              const { perConductor: _p, clad: _c, ...bare } = cable.type
              void keep({
                ...bare,
                ...(v[0] === '1' ? {} : { perConductor: Number(v[0]) }),
                ...(v.endsWith('a') ? { clad: true } : {}),
              } as CableType)
            }}
          />
        </View>
      </View>
      {length !== String(cable.lengthM || '') ? (
        <Action kind="plain" label={`Save ${cable.id}`} onPress={() => keep()} />
      ) : null}
    </View>
  )
}

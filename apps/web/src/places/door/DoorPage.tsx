import {
  accessPlaces,
  all,
  deviceToReach,
  jobOf,
  marks,
  noGroup,
  openSnags,
  ownUnitOf,
  reactionsAt,
  sheetOf,
  type DeviceSheet,
  type Door,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action, Chips } from '../../parts/Action'
import { Pick } from '../../parts/Pick'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { DoorDrawing, type Layer } from '../../signs/DoorDrawing'
import { BigRungs, markWord, signTone, signWord } from '../../signs/Rungs'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { day } from '../../state/time'
import { marksFor } from '../../state/worked'
import { nextAction } from '../doors/next'
import { addressOfDevice } from '../reach/deviceAddress'
import { Missing } from '../shell/Missing'
import { DoorRights } from '../access/RightLines'
import { Orders } from './Orders'
import { doorMoments, leavesNow, litParts, voltNotes } from './layers'

/** What a door is placed on, in a few words. */
function placeWords(door: Door, ref: string, sheet: DeviceSheet): string {
  const unit = ownUnitOf(door, sheet)
  if (unit) return `on ${unit.id} itself, ${ref}`
  const group = door.placement?.portGroup
  return group === noGroup ? `controller ${ref}` : `controller ${ref}, door port ${group}`
}

/** A door: its marks with words, its drawing, and why each missing mark is missing. @param first layer that the drawing shows at first */
export function DoorPage({ id, first = 'parts' }: { id: string; first?: Layer }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [layer, setLayer] = useState<Layer>(first)
  const [says, setSays] = useState('')
  const door = facts.door[id]
  if (!door) return <Missing what="door" which={id} />
  const state = marksFor(facts, door)
  const readsCards = accessPlaces(door, sheetsFor(facts)).some((p) => p.cards)
  const next = nextAction(door.id, state)
  const controller = facts.controller[door.placement?.controller ?? '']
  const open = next?.mark === 'reach' ? deviceToReach(facts, door, sheetsFor(facts)) : null
  const moments = layer === 'volts' ? doorMoments(facts, door) : []
  const moment = moments.find((m) => m.says === says) ?? moments[0]
  const from = facts.area[door.from]?.name ?? ''
  const to = facts.area[door.to]?.name ?? ''
  return (
    <Screen
      mono={door.ref}
      title={door.name}
      under={[
        `${from} to ${to}`,
        controller && placeWords(door, controller.ref, sheetOf(sheetsFor(facts), controller.sheet)),
      ]
        .filter(Boolean)
        .join(' · ')}
      head={
        <View style={{ marginTop: 10 }}>
          <BigRungs state={state} />
        </View>
      }
      bar={
        next && canFit(me) ? (
          <Action
            label={next.label}
            {...(controller && (next.mark === 'reach' || next.mark === 'load')
              ? { aside: open?.ref ?? controller.ref }
              : {})}
            onPress={() => router.push(open ? `/reach/${addressOfDevice(open.id)}` : next.href)}
          />
        ) : null
      }
    >
      {next ? (
        <Notice
          tone={state[next.mark].sign === 'stopped' ? 'madder' : state[next.mark].sign === 'stale' ? 'ochre' : 'slate'}
        >
          {next.says}
        </Notice>
      ) : (
        <Notice tone="verdigris">{state.sign.says}</Notice>
      )}
      <Questions door={door} />
      {controller ? (
        <Sheet flush>
          <View style={{ padding: 12, paddingBottom: 0 }}>
            <Chips
              label="Layer of the drawing"
              value={layer}
              onChange={setLayer}
              options={[
                { value: 'parts', label: 'Parts' },
                { value: 'volts', label: 'Volts' },
                { value: 'live', label: 'Live' },
              ]}
            />
          </View>
          {layer === 'volts' && moments.length ? (
            <View style={{ paddingHorizontal: 12, paddingTop: 8 }}>
              <Pick
                label="In the moment"
                value={moment?.says ?? ''}
                options={moments.map((m) => ({ value: m.says, label: m.says }))}
                onChange={setSays}
              />
            </View>
          ) : null}
          <DoorDrawing
            door={door}
            controller={controller}
            from={from}
            to={to}
            layer={layer}
            notes={voltNotes(door, moment)}
            lit={litParts(facts, door)}
            leaves={leavesNow(facts, door)}
            onPart={(part) => router.push(`/doors/${door.id}/wire?part=${part}`)}
          />
        </Sheet>
      ) : null}
      {canFit(me) ? <Orders door={door} /> : null}
      <Sheet flush title="Why each mark stands as it does">
        {marks.map((m) => (
          <Line key={m}>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <T face="strong" style={{ width: 52 }}>
                {markWord[m]}
              </T>
              <T tone={signTone[state[m].sign]} style={{ width: 76 }}>
                {signWord[state[m].sign]}
              </T>
              <T style={{ flex: 1 }}>{state[m].says}</T>
            </View>
          </Line>
        ))}
        {state.plan.findings
          .filter((f) => f.grade !== 'stop')
          .map((f) => (
            <Line key={f.says}>
              <T tone={f.grade === 'warn' ? 'ochre' : 'quiet'}>{f.says}</T>
            </Line>
          ))}
      </Sheet>
      {readsCards ? <DoorRights door={door} /> : null}
      <Snags door={door} />
      <Sheet title="Go to">
        {canFit(me) ? (
          <Action kind="plain" label="Plan and terminals" onPress={() => router.push(`/doors/${door.id}/plan`)} />
        ) : null}
        {canFit(me) ? (
          <Action
            kind="plain"
            label="Wire"
            aside={`${door.cables.length} cables`}
            onPress={() => router.push(`/doors/${door.id}/wire`)}
          />
        ) : null}
        {canFit(me) ? (
          <Action
            kind="plain"
            label="Behaviour"
            aside={`${door.behaviour.releaseS} s`}
            onPress={() => router.push(`/doors/${door.id}/behaviour`)}
          />
        ) : null}
        {canFit(me) ? (
          <Action
            kind="plain"
            label="Reactions"
            aside={String(reactionsAt(facts, door.id).length)}
            onPress={() => router.push(`/doors/${door.id}/reactions`)}
          />
        ) : null}
        {canFit(me) && readsCards ? (
          <Action kind="plain" label="What its readers send" onPress={() => router.push(`/doors/${door.id}/reads`)} />
        ) : null}
        <Action kind="plain" label="Prove" onPress={() => router.push(`/doors/${door.id}/prove`)} />
        <Action kind="plain" label="Record and signatures" onPress={() => router.push(`/doors/${door.id}/sign`)} />
      </Sheet>
    </Screen>
  )
}

function Snags({ door }: { door: Door }) {
  const facts = useFacts()
  const snags = openSnags(facts, door.id)
  if (snags.length === 0) return null
  return (
    <Sheet flush title="Open snags">
      {snags.map((s) => (
        <Line key={s.id}>
          <T>{s.says}</T>
          <T
            size={13}
            tone="quiet"
          >{`Owner ${s.owner}, since ${day(s.openedAt, jobOf(facts)?.zone ?? 'UTC')}. Closed when its test passes.`}</T>
        </Line>
      ))}
    </Sheet>
  )
}

/** Edits that met: the first is in force, the other waits here until somebody chooses. */
function Questions({ door }: { door: Door }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const open = all(facts, 'question').filter(
    (q) => (q.kind === 'door' && q.record === door.id) || (q.kind === 'tick' && q.record.startsWith(`${door.id}/`)),
  )
  return (
    <>
      {open.map((q) => (
        <Sheet key={q.id} title="Two edits met">
          <T>{`${q.kind === 'tick' ? `${q.record.slice(door.id.length + 1)} ` : ''}${q.field}: ${short(q.kept)} came first and is in force. ${q.by} meanwhile wanted ${short(q.offered)}.`}</T>
          <Action
            kind="plain"
            label={`Keep ${short(q.kept)}`}
            onPress={() => send('question.settle', { id: q.id, takeOffered: false })}
          />
          <Action
            kind="plain"
            label={`Take ${short(q.offered)}`}
            onPress={() => send('question.settle', { id: q.id, takeOffered: true })}
          />
        </Sheet>
      ))}
    </>
  )
}

const short = (value: unknown): string =>
  value === null
    ? 'not done'
    : typeof value === 'object' && value !== null && 'by' in value && 'at' in value
      ? `done by ${String((value as { by: string }).by)}`
      : typeof value === 'object' && value !== null
        ? Object.entries(value)
            .map(([k, v]) => `${k} ${String(v)}`)
            .join(', ')
        : String(value)

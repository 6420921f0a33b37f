import {
  all,
  handWords,
  jobOf,
  sheetOf,
  twoSided,
  type Controller,
  type Difference,
  type Load,
  type TwoSided,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState, type ReactNode } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { counted } from '../../parts/count'
import { LazyTable } from '../../parts/LazyTable'
import { Progress } from '../../parts/Progress'
import type { TableColumn } from '../../parts/Table'
import { T, type Tone } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { dayTime } from '../../state/time'
import { roundingsOf, unsent, waitingAtDoors } from '../../state/worked'
import { useGround, useWide } from '../../theme'

type Change = ReturnType<typeof unsent>[number]

const open = (l: Load) => l.state === 'queued' || l.state === 'running' || l.state === 'waits'

/** What will change on each device, told in two-sided lines; one bar sends it and reads it back. */
export function LoadPage() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [wrong, setWrong] = useState('')
  const [opened, setOpened] = useState('')
  const wide = useWide()
  const changes = unsent(facts)
  const shown = changes.find((c) => c.controller.id === opened) ?? changes[0]
  const running = all(facts, 'load').filter(open)
  const ready = changes.filter(
    (u) => !left.has(u.controller.id) && !running.some((l) => l.controller === u.controller.id),
  )
  const past = all(facts, 'load')
    .filter((l) => !open(l))
    .sort((a, b) => b.endedAt - a.endedAt)
    .slice(0, 12)
  const start = async () => {
    setWrong('')
    for (const u of ready)
      await send('load.start', { id: v7(), controller: u.controller.id }).catch((e: unknown) => setWrong(saysOf(e)))
  }
  const toggle = (id: string) => {
    const next = new Set(left)
    if (!next.delete(id)) next.add(id)
    setLeft(next)
  }
  return (
    <Screen
      full
      title={changes.length ? `Not loaded: ${counted(changes.length, 'device')}` : 'Everything is loaded'}
      bar={
        changes.length ? (
          <Action
            label="Load and read back"
            aside={`${ready.length} of ${changes.length}`}
            disabled={ready.length === 0}
            onPress={start}
          />
        ) : null
      }
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {waitingAtDoors(facts).map(({ controller, hands }) => (
        <Notice key={controller.id} tone="ochre">{`${controller.ref}: ${handWords(facts, hands)}`}</Notice>
      ))}
      {running.map((l) => (
        <Running key={l.id} load={l} />
      ))}
      {changes.length === 0 ? (
        <T style={{ padding: 16 }}>
          {Object.values(facts.reach).some((r) => r.owned)
            ? 'Every device in service holds what the job wants, read back.'
            : 'No device is in service yet. Take one into service under Reach.'}
        </T>
      ) : null}
      {wide && changes.length ? (
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1, minWidth: 0 }}>
            <DeviceTable
              changes={changes}
              left={left}
              onToggle={toggle}
              chosen={shown?.controller.id}
              onOpen={setOpened}
            />
            <Past loads={past} />
          </View>
          <View style={{ flex: 1, minWidth: 0 }}>{shown ? <Changes change={shown} /> : null}</View>
        </View>
      ) : (
        <>
          {changes.map((change) => (
            <Changes
              key={change.controller.id}
              change={change}
              tick={
                <LoadTick
                  change={change}
                  on={!left.has(change.controller.id)}
                  onPress={() => toggle(change.controller.id)}
                />
              }
            />
          ))}
          <Past loads={past} />
        </>
      )}
    </Screen>
  )
}

interface TickProps {
  change: Change
  on: boolean
  onPress: () => void
  /** The device is named beside it. */
  bare?: boolean
}

function LoadTick({ change: { controller }, on, onPress, bare }: TickProps) {
  const facts = useFacts()
  const name = `${controller.ref} ${sheetOf(sheetsFor(facts), controller.sheet).name}`
  return <Tick label={bare ? '' : name} name={name} on={on} onPress={onPress} />
}

function Answers({ controller }: { controller: Controller }) {
  const silentMs = useFacts().reach[controller.id]?.silentMs ?? 0
  return (
    <T size={13} tone={silentMs ? 'ochre' : 'quiet'}>
      {silentMs ? 'offline, waits' : 'answers'}
    </T>
  )
}

/** What one device holds and will hold. */
function Changes({ change: { controller, differences }, tick }: { change: Change; tick?: ReactNode }) {
  const facts = useFacts()
  return (
    <Sheet flush {...(tick ? {} : { title: `${controller.ref} ${sheetOf(sheetsFor(facts), controller.sheet).name}` })}>
      {tick ? (
        <View style={{ paddingHorizontal: 16, paddingTop: 6, flexDirection: 'row', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>{tick}</View>
          <Answers controller={controller} />
        </View>
      ) : null}
      {roundingsOf(facts, controller).map((r) => (
        <Notice key={r.door + r.says} tone="ochre">{`${r.door}: ${r.says}`}</Notice>
      ))}
      <Lines differences={differences} />
    </Sheet>
  )
}

interface DeviceTableProps {
  changes: readonly Change[]
  left: ReadonlySet<string>
  onToggle: (id: string) => void
  chosen: string | undefined
  onOpen: (id: string) => void
}

function DeviceTable({ changes, left, onToggle, chosen, onOpen }: DeviceTableProps) {
  const facts = useFacts()
  const rows = changes.map((change) => ({ id: change.controller.id, change }))
  const columns: TableColumn<(typeof rows)[number]>[] = [
    {
      id: 'device',
      head: 'Device',
      value: ({ change: { controller } }) => `${controller.ref} ${sheetOf(sheetsFor(facts), controller.sheet).name}`,
    },
    { id: 'changes', head: 'Changes', value: ({ change }) => String(change.differences.length), width: 92 },
    {
      id: 'answers',
      head: 'Now',
      value: () => '',
      cell: ({ change }) => <Answers controller={change.controller} />,
      width: 108,
    },
    {
      id: 'load',
      head: 'Load',
      value: ({ id }) => (left.has(id) ? 'no' : 'yes'),
      cell: ({ id, change }) => <LoadTick bare change={change} on={!left.has(id)} onPress={() => onToggle(id)} />,
      width: 64,
    },
  ]
  return (
    <LazyTable
      label="Devices"
      rows={rows}
      columns={columns}
      chosen={chosen}
      nameOf={({ change: { controller } }) => `Changes of ${controller.ref}`}
      onOpen={({ id }) => onOpen(id)}
    />
  )
}

/** How an ended load is shown; what did not reach its device whole is red. */
const endTone: Partial<Record<Load['state'], Tone>> = { held: 'verdigris', atDoors: 'ochre', stopped: 'quiet' }

function Past({ loads }: { loads: readonly Load[] }) {
  const facts = useFacts()
  if (loads.length === 0) return null
  return (
    <Sheet flush title="Past loads">
      {loads.map((l) => (
        <Line key={l.id}>
          <View style={{ flexDirection: 'row', gap: 10 }}>
            <T face="mono" style={{ width: 34 }}>
              {facts.controller[l.controller]?.ref ?? ''}
            </T>
            <View style={{ flex: 1 }}>
              <T tone={endTone[l.state] ?? 'madder'}>{l.says}</T>
              <T size={13} tone="quiet">{`${l.by}, ${dayTime(l.endedAt, jobOf(facts)?.zone ?? 'UTC')}`}</T>
            </View>
          </View>
        </Line>
      ))}
    </Sheet>
  )
}

/** Lines shown before the rest is folded away. */
const shownLines = 14

function Lines({ differences }: { differences: readonly Difference[] }) {
  const facts = useFacts()
  const ground = useGround()
  const [whole, setWhole] = useState(false)
  const lines = twoSided(differences, facts)
  const groups = new Map<string, TwoSided[]>()
  for (const l of whole ? lines : lines.slice(0, shownLines)) groups.set(l.group, [...(groups.get(l.group) ?? []), l])
  return (
    <View>
      <View style={{ flexDirection: 'row', borderTopWidth: 1, borderColor: ground.line }}>
        <T size={13} tone="quiet" style={{ flex: 1, paddingHorizontal: 16, paddingVertical: 6 }}>
          it holds
        </T>
        <T
          size={13}
          tone="quiet"
          style={{ flex: 1, paddingHorizontal: 16, paddingVertical: 6, borderLeftWidth: 2, borderColor: ground.ink }}
        >
          it will hold
        </T>
      </View>
      <View role="list">
        {[...groups].map(([group, list]) =>
          list.map((l, i) => (
            <View
              key={group + l.what + i}
              style={{ flexDirection: 'row' }}
              aria-label={`${group}, ${l.what}: holds ${l.holds}, will hold ${l.willHold}`}
              role="listitem"
            >
              <View style={{ flex: 1, paddingHorizontal: 16, paddingVertical: 6 }}>
                {i === 0 ? (
                  <T face="mono" size={13} tone="quiet">
                    {group}
                  </T>
                ) : null}
                <T>{l.what}</T>
                <T tone="quiet">{l.holds}</T>
              </View>
              <View
                style={{
                  flex: 1,
                  paddingHorizontal: 16,
                  paddingVertical: 6,
                  borderLeftWidth: 2,
                  borderColor: ground.ink,
                  justifyContent: 'flex-end',
                }}
              >
                <T face="strong">{l.willHold}</T>
              </View>
            </View>
          )),
        )}
      </View>
      {!whole && lines.length > shownLines ? (
        <View style={{ padding: 12 }}>
          <Action kind="plain" label={`Show all ${lines.length} lines`} onPress={() => setWhole(true)} />
        </View>
      ) : null}
    </View>
  )
}

function Running({ load }: { load: Load }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const { total, done } = useJob((s) => s.loads[load.id]) ?? load
  const share = total ? done / total : 0
  return (
    <Sheet>
      <T
        face="strong"
        size={17}
      >{`${facts.controller[load.controller]?.ref ?? ''}: ${load.state === 'waits' ? 'waits' : 'loading'}`}</T>
      <Progress label="Load" share={share} />
      <T>{load.state === 'running' && total ? `${done} of ${total} sent` : load.says}</T>
      <Action kind="plain" label="Stop" onPress={() => send('load.stop', { id: load.id })} />
    </Sheet>
  )
}

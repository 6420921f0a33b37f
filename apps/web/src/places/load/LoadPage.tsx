import { all, jobOf, sheetOf, twoSided, type Difference, type Load, type TwoSided } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Tick } from '../../parts/Action'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { counted } from '../../parts/count'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { dayTime } from '../../state/time'
import { roundingsOf, unsent } from '../../state/worked'
import { useGround } from '../../theme'

const open = (l: Load) => l.state === 'queued' || l.state === 'running' || l.state === 'waits'

/** What will change on each device, told in two-sided lines; one bar sends it and reads it back. */
export function LoadPage() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const [wrong, setWrong] = useState('')
  const changes = unsent(facts)
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
      {changes.map(({ controller, differences }) => {
        const reach = facts.reach[controller.id]
        return (
          <Sheet key={controller.id} flush>
            <View style={{ paddingHorizontal: 16, paddingTop: 6, flexDirection: 'row', alignItems: 'center' }}>
              <View style={{ flex: 1 }}>
                <Tick
                  label={`${controller.ref} ${sheetOf(sheetsFor(facts), controller.sheet).name}`}
                  on={!left.has(controller.id)}
                  onPress={() => toggle(controller.id)}
                />
              </View>
              <T size={13} tone={reach?.silentMs ? 'ochre' : 'quiet'}>
                {reach?.silentMs ? 'offline, waits' : 'answers'}
              </T>
            </View>
            {roundingsOf(facts, controller).map((r) => (
              <Notice key={r.door + r.says} tone="ochre">{`${r.door}: ${r.says}`}</Notice>
            ))}
            <Lines differences={differences} />
          </Sheet>
        )
      })}
      {past.length ? (
        <Sheet flush title="Past loads">
          {past.map((l) => (
            <Line key={l.id}>
              <View style={{ flexDirection: 'row', gap: 10 }}>
                <T face="mono" style={{ width: 34 }}>
                  {facts.controller[l.controller]?.ref ?? ''}
                </T>
                <View style={{ flex: 1 }}>
                  <T tone={l.state === 'held' ? 'verdigris' : l.state === 'stopped' ? 'quiet' : 'madder'}>{l.says}</T>
                  <T size={13} tone="quiet">{`${l.by}, ${dayTime(l.endedAt, jobOf(facts)?.zone ?? 'UTC')}`}</T>
                </View>
              </View>
            </Line>
          ))}
        </Sheet>
      ) : null}
    </Screen>
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
  const ground = useGround()
  const send = useJob((s) => s.send)
  const { total, done } = useJob((s) => s.loads[load.id]) ?? load
  const share = total ? done / total : 0
  return (
    <Sheet>
      <T
        face="strong"
        size={17}
      >{`${facts.controller[load.controller]?.ref ?? ''}: ${load.state === 'waits' ? 'waits' : 'loading'}`}</T>
      <View
        role="progressbar"
        aria-label="Load"
        aria-valuenow={Math.round(share * 100)}
        style={{ height: 10, backgroundColor: ground.line }}
      >
        <View style={{ height: 10, width: `${share * 100}%`, backgroundColor: ground.slate }} />
      </View>
      <T>{load.state === 'running' && total ? `${done} of ${total} sent` : load.says}</T>
      <Action kind="plain" label="Stop" onPress={() => send('load.stop', { id: load.id })} />
    </Sheet>
  )
}

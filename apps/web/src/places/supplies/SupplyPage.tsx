import {
  ampsOrigin,
  batteryOrigin,
  boardOf,
  defaultPowerPlan,
  lockOrigin,
  sourceStates,
  sourceWords,
  supplyOf,
  type Controller,
  type LockAnswer,
  type PowerPlan,
  type SourceState,
  type SupplyReport,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Suspense, useState } from 'react'
import { View } from 'react-native'
import { useSide } from '../../parts/Beside'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Figure } from '../../parts/Figure'
import { Pick } from '../../parts/Pick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PlanChanges } from '../../parts/PlanChanges'
import { saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { reportFor } from '../../state/worked'
import { Missing } from '../shell/Missing'
import { DriveLevel } from './lazyDriveLevel'

/** One supply: volts at every lock in every moment, amps, battery, and what to do where it falls short. */
export function SupplyPage({ id }: { id: string }) {
  const side = useSide()
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const asked = facts.controller[id]
  const [lock, setLock] = useState<string | null>(null)
  if (!asked) return <Missing what="supply" which={id} />
  // A controller that is fed on from another is counted on that one's supply.
  const controller = supplyOf(asked, facts.controller)
  const report = reportFor(facts, controller)
  const plan = facts.powerPlan[controller.id] ?? defaultPowerPlan(controller.id)
  const sheet = sheetsFor(facts)[controller.supply]
  const poor = report.locks.filter((l) => !l.enough)
  const short = poor.filter((l) => !l.onlyAtEnd)
  const worst = lock === null ? (poor[0] ?? report.locks[0]) : report.locks.find((l) => `${l.door}/${l.part}` === lock)
  return (
    <Screen
      columns
      mono={controller.ref}
      title="Supply"
      under={`${controller.cabinet} · ${sheet?.name ?? 'no supply chosen'}`}
      bar={
        side === 'detail' ? null : <Action label="What opens when" onPress={() => router.push('/supplies/release')} />
      }
    >
      {asked.id === controller.id ? null : (
        <Notice tone="slate">{`${asked.ref} is fed on from ${controller.ref}: this is the supply of both.`}</Notice>
      )}
      {report.faults.map((f) => (
        <Notice key={f} tone="madder">
          {f}
        </Notice>
      ))}
      {report.unknown.length ? (
        <Notice tone="ochre">{`${report.unknown.length} cables have no length yet: what hangs on them is not counted. ${report.unknown
          .slice(0, 4)
          .map((u) => name(facts.door[u.split('/')[0] ?? '']?.ref, u))
          .join(', ')}${report.unknown.length > 4 ? ' …' : ''}`}</Notice>
      ) : null}
      {report.notes.map((f) => (
        <Notice key={f} tone="slate">
          {f}
        </Notice>
      ))}
      <Sheet
        title={
          short.length
            ? `${short.length} of ${report.locks.length} locks see too few volts`
            : poor.length
              ? `${poor.length} of ${report.locks.length} locks fall short at the end of the battery`
              : 'Volts at the locks, at their worst'
        }
      >
        {report.locks.length === 0 ? <T tone="quiet">No lock with a cable hangs on this supply.</T> : null}
        {report.locks.map((l) => (
          <LockLine key={`${l.door}/${l.part}`} answer={l} controller={controller} celsius={plan.celsius} />
        ))}
      </Sheet>
      <Amps report={report} />
      <Moments report={report} single={!!boardOf(sheetsFor(facts), controller).feeds} />
      {worst ? (
        <Sheet title="Drive level">
          {report.locks.length > 1 ? (
            <Pick
              label="Lock"
              value={`${worst.door}/${worst.part}`}
              options={report.locks.map((l) => ({
                value: `${l.door}/${l.part}`,
                label: `${facts.door[l.door]?.ref} ${l.part}`,
              }))}
              onChange={setLock}
            />
          ) : null}
          <Suspense fallback={<T tone="quiet">Draws …</T>}>
            <DriveLevel key={`${worst.door}/${worst.part}`} controller={controller} answer={worst} />
          </Suspense>
        </Sheet>
      ) : null}
      <BatterySheet controller={controller} report={report} plan={plan} mayEdit={canFit(me)} />
      <PlanChanges />
    </Screen>
  )
}

const name = (ref: string | undefined, node: string): string => `${ref ?? ''} ${node.split('/')[1] ?? ''}`

function LockLine({ answer, controller, celsius }: { answer: LockAnswer; controller: Controller; celsius: number }) {
  const facts = useFacts()
  const door = facts.door[answer.door]
  const tone = answer.enough ? 'ink' : answer.onlyAtEnd ? 'ochre' : 'madder'
  return (
    <View>
      <Figure
        label={`${door?.ref ?? ''} ${answer.part}, needs ${answer.leastV} V`}
        value={answer.volts === null ? 'collapses' : `${answer.volts.toFixed(2)} V`}
        tone={tone}
        origin={lockOrigin(answer, door, celsius)}
      />
      {answer.enough ? null : (
        <T size={13} tone={tone}>
          {answer.says}
        </T>
      )}
      {answer.mend ? <T size={13}>{answer.mend}</T> : null}
      {answer.enough || !answer.mend?.includes('would do') ? null : (
        <View style={{ marginVertical: 4 }}>
          <Action
            kind="plain"
            label={`Cables of ${door?.ref ?? ''}`}
            aside={controller.ref}
            onPress={() => router.push(`/doors/${answer.door}/plan`)}
          />
        </View>
      )}
    </View>
  )
}

function Amps({ report: r }: { report: SupplyReport }) {
  const over = r.worstA === null || r.worstA + r.chargerA > r.ratingA
  return (
    <Sheet title="Amps">
      <Figure
        label="At rest"
        value={r.restA === null ? 'collapses' : `${r.restA.toFixed(2)} A`}
        origin={ampsOrigin(r, 'rest')}
      />
      <Figure
        label="At the worst moment, charger included"
        value={r.worstA === null ? 'collapses' : `${(r.worstA + r.chargerA).toFixed(2)} A`}
        tone={over && r.ratingA > 0 ? 'madder' : 'ink'}
        origin={ampsOrigin(r, 'worst')}
      />
      <Figure
        label="The supply gives"
        value={r.ratingA ? `${r.ratingA} A` : 'network power'}
        origin={{ formula: 'Its rating.', inputs: [], source: 'device sheet' }}
      />
      <Figure
        label="In the first moment of power"
        value={`${r.inrushA.toFixed(1)} A`}
        origin={{
          formula: 'Sum of what fills its capacitors when power comes: boards and devices on this supply.',
          inputs: [],
          source: 'device sheets',
        }}
      />
    </Sheet>
  )
}

/** Every moment at the state of the source that is chosen. */
function Moments({ report, single }: { report: SupplyReport; single: boolean }) {
  const [state, setState] = useState<SourceState>('nominal')
  const rows = report.moments.filter((m) => m.state === state)
  return (
    <Sheet title="Moments">
      {single ? null : (
        <Chips
          label="The source"
          value={state}
          onChange={setState}
          options={sourceStates.map((s) => ({ value: s, label: sourceWords[s] }))}
        />
      )}
      {rows.map((m) => {
        const least = m.solved.ok
          ? Math.min(
              ...m.locks.map((l) =>
                (m.solved as { amps: Record<string, number> }).amps[l.node]
                  ? ((m.solved as { volts: Record<string, number> }).volts[l.node] ?? Infinity)
                  : Infinity,
              ),
            )
          : null
        return (
          <View key={m.says} style={{ flexDirection: 'row', gap: 10 }}>
            <T style={{ flex: 1 }}>{m.says}</T>
            <T face="mono" style={{ width: 84, textAlign: 'right' }}>
              {m.amps === null ? 'collapses' : `${m.amps.toFixed(2)} A`}
            </T>
            <T face="mono" tone="quiet" style={{ width: 76, textAlign: 'right' }}>
              {least === null || least === Infinity ? '' : `${least.toFixed(1)} V`}
            </T>
          </View>
        )
      })}
    </Sheet>
  )
}

function BatterySheet({
  controller,
  report,
  plan,
  mayEdit,
}: {
  controller: Controller
  report: SupplyReport
  plan: PowerPlan
  mayEdit: boolean
}) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const sheets = sheetsFor(facts)
  const first = {
    supply: controller.supply,
    ah: String(plan.batteryAh),
    count: String(plan.batteryCount),
    wiring: plan.wiring,
    hours: String(plan.hours),
    celsius: String(plan.celsius),
    movements: String(plan.movements),
    queue: plan.queue ? String(plan.queue) : '',
    fireRelay: plan.fireRelay,
  }
  const [form, setForm, forget] = useDraft(`power-${controller.id}`, first)
  const [wrong, setWrong] = useState('')
  const set = (key: keyof typeof form) => (value: string) => setForm({ ...form, [key]: value })
  const keep = async () => {
    const [batteryAh, batteryCount, hours, celsius, movements] = [
      form.ah,
      form.count,
      form.hours,
      form.celsius,
      form.movements,
    ].map(numberIn)
    const queue = form.queue.trim() === '' ? 0 : numberIn(form.queue)
    if (
      batteryAh == null ||
      batteryCount == null ||
      hours == null ||
      celsius == null ||
      movements == null ||
      queue === null
    ) {
      setWrong('Write numbers: ampere-hours, batteries, hours, degrees, movements.')
      return
    }
    try {
      await send('powerPlan.put', {
        id: controller.id,
        batteryAh,
        batteryCount,
        wiring: form.wiring,
        hours,
        celsius,
        movements,
        fireRelay: form.fireRelay,
        ...(queue ? { queue } : {}),
        supply: form.supply,
      })
      forget()
      setWrong('')
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  const b = report.battery
  const origin = batteryOrigin(report, plan)
  if (boardOf(sheets, controller).feeds) return null
  return (
    <Sheet title="Battery and supply">
      {b ? (
        <Figure label={`Needed for ${plan.hours} h`} value={`${b.need.neededAh.toFixed(1)} Ah`} origin={origin} />
      ) : (
        <T tone="quiet">
          {report.restA === null
            ? 'Not known while the lines collapse.'
            : 'This supply takes no battery, so its locks live as long as the mains.'}
        </T>
      )}
      {b ? (
        <Figure
          label={`${b.bankAh} Ah last`}
          value={b.hours === Infinity ? 'for ever' : `${b.hours.toFixed(1)} h`}
          tone={b.enough ? 'ink' : 'madder'}
          origin={origin}
        />
      ) : null}
      {b && b.need.factors.rate === null ? (
        <T size={13} tone="ochre">
          The rate effect is not counted.
        </T>
      ) : null}
      {mayEdit ? (
        <>
          {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
          <Pick
            label="Supply"
            value={form.supply}
            options={Object.values(sheets)
              .filter((s) => s.supply)
              .map((s) => ({ value: s.id, label: s.name }))}
            onChange={set('supply')}
          />
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Field label="One battery, Ah" value={form.ah} onChange={set('ah')} keyboard="decimal" mono />
            </View>
            <View style={{ flex: 1 }}>
              <Field label="Batteries" value={form.count} onChange={set('count')} keyboard="numeric" mono />
            </View>
          </View>
          <Chips
            label="Joined"
            value={form.wiring}
            onChange={(wiring) => setForm({ ...form, wiring })}
            options={[
              { value: 'parallel' as const, label: 'In parallel' },
              { value: 'series' as const, label: 'In series' },
            ]}
          />
          <View style={{ flexDirection: 'row', gap: 12 }}>
            <View style={{ flex: 1 }}>
              <Field label="Hours asked for" value={form.hours} onChange={set('hours')} keyboard="decimal" mono />
            </View>
            <View style={{ flex: 1 }}>
              <Field label="Coldest, °C" value={form.celsius} onChange={set('celsius')} mono />
            </View>
          </View>
          <Field
            label="Movements of each door in that time"
            value={form.movements}
            onChange={set('movements')}
            keyboard="numeric"
            mono
          />
          <Field
            label="Locks that may pull in at once; empty for all"
            value={form.queue}
            onChange={set('queue')}
            keyboard="numeric"
            mono
          />
          <Tick
            label="The fire signal’s relay cuts this supply’s locks"
            on={form.fireRelay}
            onPress={() => setForm({ ...form, fireRelay: !form.fireRelay })}
          />
          <Action kind="plain" label="Save battery and supply" onPress={keep} />
        </>
      ) : null}
    </Sheet>
  )
}

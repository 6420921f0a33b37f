import {
  functionFacts,
  otherInputs,
  usualOpenerAfterS,
  type Behaviour,
  type IdleState,
  type PartRole,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, Group, typedNumber } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { roundingsOf } from '../../state/worked'
import { Missing } from '../shell/Missing'

const idle = [
  { value: 'closed' as const, label: 'Closed at rest' },
  { value: 'open' as const, label: 'Open at rest' },
]

interface BehaviourFields {
  release: string
  held: string
  relock: string
  longRelease: string
  longOpen: string
  contactIdle: IdleState
  exitIdle: IdleState
  forcedAlarm: boolean
  opener: string
  desk: string
  idle: Record<string, IdleState>
}

const fieldsOf = (b: Behaviour | undefined): BehaviourFields => ({
  release: String(b?.releaseS ?? ''),
  held: String(b?.heldOpenS ?? ''),
  relock: String(b?.relockDelayS ?? ''),
  longRelease: String(b?.longReleaseS ?? ''),
  longOpen: String(b?.longOpenS ?? ''),
  contactIdle: b?.contactIdle ?? 'closed',
  exitIdle: b?.exitIdle ?? 'open',
  forcedAlarm: b?.forcedAlarm ?? true,
  opener: String(b?.openerAfterS ?? usualOpenerAfterS),
  desk: String(b?.deskReleaseS ?? b?.releaseS ?? ''),
  idle: b?.idle ?? {},
})

const behaviourOf = (form: BehaviourFields, waits: boolean, desk: boolean): Behaviour => ({
  releaseS: typedNumber(form.release),
  heldOpenS: typedNumber(form.held),
  relockDelayS: typedNumber(form.relock),
  contactIdle: form.contactIdle,
  exitIdle: form.exitIdle,
  forcedAlarm: form.forcedAlarm,
  ...(form.longRelease.trim() ? { longReleaseS: typedNumber(form.longRelease) } : {}),
  ...(form.longOpen.trim() ? { longOpenS: typedNumber(form.longOpen) } : {}),
  ...(waits ? { openerAfterS: typedNumber(form.opener) } : {}),
  ...(desk ? { deskReleaseS: typedNumber(form.desk) } : {}),
  ...(Object.keys(form.idle).length ? { idle: form.idle } : {}),
})

/** How a door behaves; what its controller cannot keep exactly is said before it is sent. */
export function BehaviourPage({ id }: { id: string }) {
  const facts = useFacts()
  const door = facts.door[id]
  const has = (role: PartRole) => !!door?.parts.some((p) => p.role === role)
  const waits = has('opener') && has('lock')
  const form = useCommandForm<'door.edit', BehaviourFields>({
    command: 'door.edit',
    draft: `behaviour-${id}`,
    first: fieldsOf(door?.behaviour),
    payload: (typed) => ({ id, fields: { behaviour: behaviourOf(typed, waits, has('deskButton')) } }),
    fields: {
      'behaviour.releaseS': 'release',
      'behaviour.heldOpenS': 'held',
      'behaviour.relockDelayS': 'relock',
      'behaviour.longReleaseS': 'longRelease',
      'behaviour.longOpenS': 'longOpen',
      'behaviour.openerAfterS': 'opener',
      'behaviour.deskReleaseS': 'desk',
    },
    onSent: () => router.push(`/doors/${id}`),
  })
  if (!door) return <Missing what="door" which={id} />
  const { value, set, error } = form
  const controller = facts.controller[door.placement?.controller ?? '']
  const { exitIdle, contactIdle } = value
  const inputs = otherInputs(
    { ...door, behaviour: { ...door.behaviour, exitIdle, contactIdle, idle: value.idle } },
    sheetsFor(facts),
  )
  const seconds = (
    key: 'release' | 'held' | 'relock' | 'longRelease' | 'longOpen' | 'opener' | 'desk',
    label: string,
  ) => <Field label={label} value={value[key]} onChange={set(key)} error={error(key)} keyboard="decimal" mono />
  return (
    <Screen
      mono={door.ref}
      title="Behaviour"
      under={door.name}
      bar={<Action label="Save the behaviour" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      {controller
        ? roundingsOf(facts, controller)
            .filter((r) => r.door === door.ref)
            .map((r) => (
              <Notice key={r.says} tone="ochre">
                {r.says}
              </Notice>
            ))
        : null}
      <Sheet>
        {seconds('release', 'Release time, s')}
        {seconds('held', 'Open time before the held-open alarm, s')}
        {seconds('relock', 'Delay before relock, s')}
        {has('contact') ? (
          <Group label="Door contact while the leaf is shut">
            <Chips label="Door contact" value={contactIdle} onChange={set('contactIdle')} options={idle} />
          </Group>
        ) : null}
        {has('exit') ? (
          <Group label="Exit button while nobody presses it">
            <Chips label="Exit button" value={exitIdle} onChange={set('exitIdle')} options={idle} />
          </Group>
        ) : null}
        {inputs.map(({ part, function: does, idle: at }) => (
          <Group key={`${part.id} ${does}`} label={`${part.id}, ${functionFacts[does].says}, while nothing happens`}>
            <Chips<IdleState>
              label={part.id}
              value={at}
              onChange={(state) => set('idle')({ ...value.idle, [part.id]: state })}
              options={idle}
            />
          </Group>
        ))}
        {waits ? seconds('opener', 'The opener starts after the lock, s') : null}
        {has('deskButton') ? seconds('desk', 'The desk button releases for, s') : null}
        <Tick
          label="Opening without a release raises the forced-open alarm"
          on={value.forcedAlarm}
          onPress={() => set('forcedAlarm')(!value.forcedAlarm)}
        />
      </Sheet>
      <Sheet title="For those who need longer; empty for the usual times">
        {seconds('longRelease', 'Longer release, s')}
        {seconds('longOpen', 'Longer open time, s')}
      </Sheet>
    </Screen>
  )
}

import {
  accessPlaces,
  asked,
  behaviourFindings,
  boardOf,
  functionFacts,
  otherInputs,
  type Behaviour,
  type CodeAsked,
  type Door,
  type DoorAbility,
  type IdleState,
  type PartRole,
  type Sheets,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { Action, Chips, Tick } from '../../parts/Action'
import { Group } from '../../parts/Field'
import { Findings } from '../../parts/Findings'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { roundingsOf } from '../../state/worked'
import { Missing } from '../shell/Missing'
import { behaviourOf, fieldsOf, optionalTimes, type BehaviourFields } from './behaviourFields'
import { LikeThis } from './LikeThis'
import { EnteringSheet, HoursSheet, TimeField } from './OwnRules'

const idle = [
  { value: 'closed' as const, label: 'Closed at rest' },
  { value: 'open' as const, label: 'Open at rest' },
]

/** Fields of the form by what they are in the command. */
const places = {
  'behaviour.releaseS': 'release',
  'behaviour.heldOpenS': 'held',
  'behaviour.relockDelayS': 'relock',
  'behaviour.openerAfterS': 'opener',
  'behaviour.deskReleaseS': 'desk',
  'behaviour.freeOn': 'freeOn',
  'behaviour.barredOn': 'barredOn',
  ...Object.fromEntries(optionalTimes.map((key) => [`behaviour.${key}`, key])),
} as const

/** How a door behaves; what its controller cannot keep exactly, and what contradicts itself, is said before it is sent. */
export function BehaviourPage({ id }: { id: string }) {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  const door = facts.door[id]
  const has = (role: PartRole) => !!door?.parts.some((p) => p.role === role)
  const owns = { opener: has('opener') && has('lock'), desk: has('deskButton') }
  const form = useCommandForm<'door.edit', BehaviourFields>({
    command: 'door.edit',
    draft: `behaviours-${id}`,
    first: fieldsOf(door?.behaviour),
    payload: (typed) => ({ id, fields: { behaviour: behaviourOf(typed, owns) } }),
    fields: places,
    onSent: () => router.push(`/doors/${id}`),
  })
  if (!door) return <Missing what="door" which={id} />
  const { value, set } = form
  const controller = facts.controller[door.placement?.controller ?? '']
  const typed = behaviourOf(value, owns)
  const able = controller && (boardOf(sheets, controller).controller?.abilities ?? [])
  const can = (ability: DoorAbility) => !able || able.includes(ability) || asked({ behaviour: typed }).includes(ability)
  const inputs = otherInputs({ ...door, behaviour: { ...door.behaviour, ...idleOf(value) } }, sheets)
  return (
    <Screen
      mono={door.ref}
      title="Behaviour"
      under={door.name}
      columns
      bar={<Action label="Save the behaviour" onPress={form.submit} />}
    >
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Findings list={numbersSound(typed) ? behaviourFindings(facts, { ...door, behaviour: typed }, sheets) : []} />
      {(controller ? roundingsOf(facts, controller) : [])
        .filter((r) => r.door === door.ref)
        .map((r) => (
          <Notice key={r.says} tone="ochre">
            {r.says}
          </Notice>
        ))}
      <Sheet>
        <TimeField form={form} field="release" label="Release time, s" />
        <TimeField form={form} field="held" label="Open time before the held-open alarm, s" />
        {can('preAlarm') ? (
          <TimeField form={form} field="preAlarmS" label="Warning so long before that alarm, s; empty for none" />
        ) : null}
        {can('relockAtOpening') ? (
          <Group label="It locks again">
            <Chips
              label="It locks again"
              value={value.relockAt}
              onChange={set('relockAt')}
              options={[
                { value: 'closing', label: 'Once it is shut' },
                { value: 'opening', label: 'As soon as it opens' },
              ]}
            />
          </Group>
        ) : null}
        <TimeField form={form} field="relock" label="Delay before relock, s" />
        <Tick
          label="Opening without a release raises the forced-open alarm"
          on={value.forcedAlarm}
          onPress={() => set('forcedAlarm')(!value.forcedAlarm)}
        />
      </Sheet>
      <HoursSheet form={form} can={can} />
      <EnteringSheet form={form} can={can} codes={codesAt(door, sheets)} />
      <Sheet title="For those who need longer; empty for the usual times">
        <TimeField form={form} field="longReleaseS" label="Longer release, s" />
        <TimeField form={form} field="longOpenS" label="Longer open time, s" />
      </Sheet>
      <Sheet title="Contacts and buttons">
        {has('contact') ? (
          <Group label="Door contact while the leaf is shut">
            <Chips label="Door contact" value={value.contactIdle} onChange={set('contactIdle')} options={idle} />
          </Group>
        ) : null}
        {has('exit') ? (
          <Group label="Exit button while nobody presses it">
            <Chips label="Exit button" value={value.exitIdle} onChange={set('exitIdle')} options={idle} />
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
        {owns.opener ? <TimeField form={form} field="opener" label="The opener starts after the lock, s" /> : null}
        {owns.desk ? <TimeField form={form} field="desk" label="The desk button releases for, s" /> : null}
      </Sheet>
      <LikeThis door={door} />
    </Screen>
  )
}

const idleOf = ({ contactIdle, exitIdle, idle: others }: BehaviourFields) => ({ contactIdle, exitIdle, idle: others })

/** Contradictions are looked for once every time is a number; until then the fields say what is wrong with them. */
const numbersSound = (typed: Behaviour): boolean =>
  Object.entries(typed).every(([key, value]) => !key.endsWith('S') || typeof value === 'number')

/** How a code can be asked for by what reads whoever comes in; one that is asked for already stays to be seen. */
function codesAt(door: Door, sheets: Sheets): CodeAsked[] {
  const entries = accessPlaces(door, sheets).filter((p) => !p.leaving)
  const byReaders: CodeAsked[] = entries.some((p) => p.cards) ? ['with', 'instead'] : ['alone']
  const possible = entries.some((p) => p.keys) ? byReaders : []
  return [...new Set([...possible, ...(door.behaviour.code ? [door.behaviour.code] : [])])]
}

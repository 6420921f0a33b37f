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
import { useState } from 'react'
import { Action, Chips, Tick } from '../../parts/Action'
import { Field, Group, numberIn } from '../../parts/Field'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { saysOf } from '../../state/api'
import { useDraft } from '../../state/draft'
import { useFacts, useJob } from '../../state/job'
import { roundingsOf } from '../../state/worked'
import { Missing } from '../shell/Missing'

const idle = [
  { value: 'closed' as const, label: 'Closed at rest' },
  { value: 'open' as const, label: 'Open at rest' },
]

/** How a door behaves; what its controller cannot keep exactly is said before it is sent. */
export function BehaviourPage({ id }: { id: string }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const door = facts.door[id]
  const b = door?.behaviour
  const [form, setForm, forget] = useDraft(`behaviour-${id}`, {
    release: String(b?.releaseS ?? ''),
    held: String(b?.heldOpenS ?? ''),
    relock: String(b?.relockDelayS ?? ''),
    contactIdle: b?.contactIdle ?? 'closed',
    exitIdle: b?.exitIdle ?? 'open',
    forcedAlarm: b?.forcedAlarm ?? true,
    opener: String(b?.openerAfterS ?? usualOpenerAfterS),
    desk: String(b?.deskReleaseS ?? b?.releaseS ?? ''),
    idle: b?.idle ?? {},
  })
  const [wrong, setWrong] = useState('')
  if (!door) return <Missing what="door" which={id} />
  const controller = facts.controller[door.placement?.controller ?? '']
  const has = (role: PartRole) => door.parts.some((p) => p.role === role)
  const waits = has('opener') && has('lock')
  const inputs = otherInputs(
    {
      ...door,
      behaviour: { ...door.behaviour, exitIdle: form.exitIdle, contactIdle: form.contactIdle, idle: form.idle },
    },
    sheetsFor(facts),
  )
  const keep = async () => {
    const [releaseS, heldOpenS, relockDelayS, openerAfterS, deskReleaseS] = [
      form.release,
      form.held,
      form.relock,
      form.opener,
      form.desk,
    ].map(numberIn)
    if (releaseS == null || heldOpenS == null || relockDelayS == null || openerAfterS == null || deskReleaseS == null) {
      setWrong('Times are seconds, for example 5 or 2.5.')
      return
    }
    const behaviour: Behaviour = {
      releaseS,
      heldOpenS,
      relockDelayS,
      contactIdle: form.contactIdle,
      exitIdle: form.exitIdle,
      forcedAlarm: form.forcedAlarm,
      ...(waits ? { openerAfterS } : {}),
      ...(has('deskButton') ? { deskReleaseS } : {}),
      ...(Object.keys(form.idle).length ? { idle: form.idle } : {}),
    }
    try {
      await send('door.edit', { id, fields: { behaviour } })
      forget()
      router.push(`/doors/${id}`)
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  return (
    <Screen
      mono={door.ref}
      title="Behaviour"
      under={door.name}
      bar={<Action label="Save the behaviour" onPress={keep} />}
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
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
        <Field
          label="Release time, s"
          value={form.release}
          onChange={(release) => setForm({ ...form, release })}
          keyboard="decimal"
          mono
        />
        <Field
          label="Open time before the held-open alarm, s"
          value={form.held}
          onChange={(held) => setForm({ ...form, held })}
          keyboard="decimal"
          mono
        />
        <Field
          label="Delay before relock, s"
          value={form.relock}
          onChange={(relock) => setForm({ ...form, relock })}
          keyboard="decimal"
          mono
        />
        {has('contact') ? (
          <Group label="Door contact while the leaf is shut">
            <Chips
              label="Door contact"
              value={form.contactIdle}
              onChange={(contactIdle) => setForm({ ...form, contactIdle })}
              options={idle}
            />
          </Group>
        ) : null}
        {has('exit') ? (
          <Group label="Exit button while nobody presses it">
            <Chips
              label="Exit button"
              value={form.exitIdle}
              onChange={(exitIdle) => setForm({ ...form, exitIdle })}
              options={idle}
            />
          </Group>
        ) : null}
        {inputs.map(({ part, function: does, idle: at }) => (
          <Group key={`${part.id} ${does}`} label={`${part.id}, ${functionFacts[does].says}, while nothing happens`}>
            <Chips<IdleState>
              label={part.id}
              value={at}
              onChange={(value) => setForm({ ...form, idle: { ...form.idle, [part.id]: value } })}
              options={idle}
            />
          </Group>
        ))}
        {waits ? (
          <Field
            label="The opener starts after the lock, s"
            value={form.opener}
            onChange={(opener) => setForm({ ...form, opener })}
            keyboard="decimal"
            mono
          />
        ) : null}
        {has('deskButton') ? (
          <Field
            label="The desk button releases for, s"
            value={form.desk}
            onChange={(desk) => setForm({ ...form, desk })}
            keyboard="decimal"
            mono
          />
        ) : null}
        <Tick
          label="Opening without a release raises the forced-open alarm"
          on={form.forcedAlarm}
          onPress={() => setForm({ ...form, forcedAlarm: !form.forcedAlarm })}
        />
      </Sheet>
    </Screen>
  )
}

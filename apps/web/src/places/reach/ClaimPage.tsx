import { all, jobOf, labelWanted, movesTo, offsetText, sheetOf, silentDevice, type Claim } from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field } from '../../parts/Field'
import { Looking } from '../../parts/Looking'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { saysOf } from '../../state/api'
import { useBodyForm } from '../../state/commandForm'
import { useFacts, useJob } from '../../state/job'
import { dayTime } from '../../state/time'
import { Missing } from '../shell/Missing'
import { noticeTone, standingOf, whoAnswers } from './standing'
import { ReadPeople } from './ReadPeople'
import { StepList, type StepWords } from './StepList'

const stepWord: StepWords = {
  identity: 'Read who it is',
  holds: 'Count what it holds',
  secret: 'Replace its password',
  erase: 'Erase it',
  network: 'Name and address',
  restart: 'Restart and find it again',
  clock: 'Zone and clock',
  firmware: 'Firmware',
  ready: 'In service',
}

/** Taking one device into service, step by step, each as it was stored. */
export function ClaimPage({ id }: { id: string }) {
  const facts = useFacts()
  const controller = facts.controller[id]
  if (!controller) return <Missing what="controller" which={id} />
  const claim = facts.claim[id]
  const found = all(facts, 'found').find((f) => f.controller === id)
  const reach = facts.reach[id]
  const zone = jobOf(facts)?.zone ?? 'UTC'
  const standing = standingOf(facts, controller)
  const failure = silentDevice(facts, id)
  const open = claim?.steps.some((s) => s.state !== 'done')
  return (
    <Screen
      mono={controller.ref}
      title={sheetOf(sheetsFor(facts), controller.sheet).name}
      under={`${controller.cabinet} · ${controller.serial || 'no serial yet'}`}
      bar={<ClaimBar id={id} claim={claim} found={!!found} />}
    >
      <Notice tone={noticeTone(standing)}>{standing.says}</Notice>
      {failure ? <Looking facts={facts} failure={failure} /> : null}
      {claim && claim.resetStep === 0 ? (
        <ItsPassword id={id} busy={!claim.steps.some((s) => s.state === 'waits')} />
      ) : null}
      {claim && claim.resetStep >= 0 ? <ResetByHand id={id} step={claim.resetStep} /> : null}
      {claim ? (
        <StepList
          claim={claim}
          words={stepWord}
          under={(step) =>
            step === 'holds' && claim.eraseAgreed
              ? `Agreed by ${claim.eraseAgreed.by}, ${dayTime(claim.eraseAgreed.at, zone)}`
              : ''
          }
        />
      ) : null}
      {reach ? (
        <Sheet title="As it answers">
          <T face="mono">{`${reach.address}  ${reach.mac}`}</T>
          <T>{whoAnswers(reach)}</T>
          <T tone={reach.secured ? 'ink' : 'ochre'}>
            {reach.secured
              ? `Encrypted (HTTPS), certificate ${reach.secured.fingerprint.slice(0, 16)}`
              : 'Not encrypted: whoever is on this network can read what is sent.'}
          </T>
          <T>{`Clock ${offsetText(reach.clockOffsetMs)} s off, zone ${reach.zoneHeld}`}</T>
          {reach.owned && !open && !movesTo(reach, controller) ? <SetAnew id={id} /> : null}
          {reach.owned && facts.held[id] ? <ReadPeople id={id} label="Hold its people against the job" /> : null}
        </Sheet>
      ) : null}
      <Sheet title="Lamps and sounds">
        {sheetOf(sheetsFor(facts), controller.sheet).controller?.lamps.map((l) => (
          <T key={l.lamp}>{`${l.lamp}: ${l.means}`}</T>
        ))}
      </Sheet>
    </Screen>
  )
}

/** After the mask or the gateway of the site was changed: the device is told anew, and asked what it keeps. */
function SetAnew({ id }: { id: string }) {
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <Action
        kind="plain"
        label="Set its name, address and gateway anew"
        onPress={() => send('claim.move', { controller: id }).catch((e: unknown) => setWrong(saysOf(e)))}
      />
    </>
  )
}

function ClaimBar({ id, claim, found }: { id: string; claim: Claim | undefined; found: boolean }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const reach = facts.reach[id]
  const elsewhere = reach?.owned ? movesTo(reach, facts.controller[id]) : null
  const act = (name: 'claim.start' | 'claim.move' | 'claim.agreeErase' | 'firmware.accept') =>
    send(name, { controller: id }).catch((e: unknown) => setWrong(saysOf(e)))
  const at = claim?.steps.find((s) => s.state !== 'done')
  const heard = claim && facts.found[claim.found]
  const holds = heard?.holds
  const bar = () => {
    if (!found) return <Action label="Search for devices" onPress={() => router.push('/reach')} />
    if (!claim) return <Action label="Take into service" onPress={() => act('claim.start')} />
    if (!at)
      return (
        <>
          {facts.reach[id]?.silentMs ? (
            <Action kind="plain" label="It was reset or replaced: take it again" onPress={() => act('claim.start')} />
          ) : null}
          {elsewhere ? (
            <Action label={`Move it to ${elsewhere}`} onPress={() => act('claim.move')} />
          ) : (
            <Action label="Load it" onPress={() => router.push('/load')} />
          )}
        </>
      )
    if (at.name === 'holds' && at.state === 'waits')
      return (
        <>
          {holds?.people ? <ReadPeople id={id} label="First read its people into the job" /> : null}
          <Action
            kind="danger"
            label="Agree to erase"
            aside={`${holds?.people ?? '?'} people, ${holds?.doors ?? '?'} doors`}
            onPress={() => act('claim.agreeErase')}
          />
        </>
      )
    if (
      at.name === 'secret' &&
      at.state === 'waits' &&
      heard &&
      heard.ownership !== 'ours' &&
      labelWanted(heard, claim)
    )
      return <CompareLabel id={id} />
    if (at.name === 'firmware' && at.state === 'waits')
      return (
        <Action
          label="Accept this firmware"
          aside={facts.reach[id]?.firmware ?? ''}
          onPress={() => act('firmware.accept')}
        />
      )
    if (at.state === 'running')
      return <Action label="At work" aside={stepWord[at.name] ?? ''} disabled onPress={() => undefined} />
    return (
      <Action
        kind={claim.resetStep >= 0 ? 'plain' : 'main'}
        label={claim.resetStep >= 0 ? 'Try it again' : 'Go on'}
        onPress={() => act('claim.start')}
      />
    )
  }
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {bar()}
    </>
  )
}

/** What the device says of itself, held against the label that hangs on it. */
function CompareLabel({ id }: { id: string }) {
  const send = useJob((s) => s.send)
  const [label, setLabel] = useState('')
  const [wrong, setWrong] = useState('')
  const compare = () => send('claim.compare', { controller: id, label }).catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <View style={{ gap: 8 }}>
      <Field
        label="Serial on its label, at least the last four signs"
        value={label}
        onChange={setLabel}
        mono
        error={wrong || undefined}
      />
      <Action label="The label says so" onPress={compare} />
    </View>
  )
}

/** The password that somebody set before, where somebody still knows it: quicker than a reset, and what the device holds can be counted. */
function ItsPassword({ id, busy }: { id: string; busy: boolean }) {
  const facts = useFacts()
  const controller = facts.controller[id]
  const user = sheetOf(sheetsFor(facts), controller?.sheet ?? '').controller?.factory.user ?? ''
  const [says, setSays] = useState('')
  const form = useBodyForm<{ user: string; password: string }>({
    body: 'devicePassword',
    path: `/claims/${encodeURIComponent(id)}/password`,
    first: { user, password: '' },
    payload: (typed) => ({ ...typed, user: typed.user.trim() }),
    onSent: (_sent, answer) => setSays((answer as { says: string }).says),
  })
  return (
    <Sheet title="Does somebody know its password?">
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Field
        label="Account on the device"
        value={form.value.user}
        onChange={form.set('user')}
        error={form.error('user')}
        mono
      />
      <Field
        label="Its password"
        value={form.value.password}
        onChange={form.set('password')}
        error={form.error('password')}
        secret
        autoComplete="off"
      />
      <Action label="Try this password" disabled={busy} onPress={form.submit} />
      {says && busy ? <T role="status">{says}</T> : null}
    </Sheet>
  )
}

/** The reset as the device's sheet says it, one step at a time with its seconds. */
function ResetByHand({ id, step }: { id: string; step: number }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const steps = sheetOf(sheetsFor(facts), facts.controller[id]?.sheet ?? '').controller?.reset ?? []
  const now = steps[step]
  const [left, setLeft] = useState<number | null>(null)
  useEffect(() => {
    if (left === null || left <= 0) return undefined
    const timer = setTimeout(() => setLeft(left - 1), 1000)
    return () => clearTimeout(timer)
  }, [left])
  if (!now)
    return (
      <Notice tone="slate">
        The reset is done. The device says hello by itself when it is back, or press Try it again.
      </Notice>
    )
  const next = () => {
    setLeft(null)
    return send('claim.resetStep', { controller: id, step: step + 1 })
  }
  return (
    <Sheet title={`Reset by hand, ${step + 1} of ${steps.length}`}>
      <T face="strong" size={22}>
        {now.says}
      </T>
      {left === null ? (
        <Action label={`Begin ${now.seconds} s`} onPress={() => setLeft(now.seconds)} />
      ) : (
        <T face="mono" size={34} role="timer" aria-live="polite">
          {left > 0 ? `${left} s` : 'Time is up'}
        </T>
      )}
      <Action kind="plain" label={step + 1 < steps.length ? 'Done, next' : 'Done'} onPress={next} />
    </Sheet>
  )
}

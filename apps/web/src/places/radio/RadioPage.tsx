import {
  cardName,
  numberedCard,
  radioHubs,
  radioLocks,
  sheetOf,
  switchesFor,
  usualFormat,
  type RadioDevice,
  type RadioHub,
  type RadioLock,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Pick } from '../../parts/Pick'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PlanChanges } from '../../parts/PlanChanges'
import { SwitchBank } from '../../signs/SwitchBank'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'
import { controllersInOrder } from '../../state/worked'
import { addressOfDevice } from '../reach/deviceAddress'
import { radioStandingOf } from '../reach/standing'

/** Controllers of the job whose type carries hubs. */
function useCarriers() {
  const facts = useFacts()
  const sheets = sheetsFor(facts)
  return controllersInOrder(facts).filter((c) => sheetOf(sheets, c.sheet).carries?.some((x) => x.kind === 'hub'))
}

/** Hubs and wireless locks: which hub hangs where, which lock is at which hub, and how each is heard. */
export function RadioPage() {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const hubs = radioHubs(facts, sheetsFor(facts))
  const locks = radioLocks(facts, sheetsFor(facts))
  const loose = locks.filter((l) => !l.hub)
  return (
    <Screen
      columns
      title="Radio"
      under={`${hubs.length} hubs · ${locks.length} wireless locks`}
      bar={canFit(me) ? <NextOfRadio hubs={hubs} locks={locks} /> : null}
    >
      {hubs.length + locks.length === 0 ? (
        <T style={{ padding: 16 }}>
          No hub and no wireless lock is planned. Choose a wireless lock for a door, and plan a hub under Supplies &
          cables.
        </T>
      ) : null}
      {loose.length ? (
        <Sheet flush title={`At no hub yet: ${loose.length}`}>
          {loose.map((lock) => (
            <LockRow key={lock.id} lock={lock} />
          ))}
        </Sheet>
      ) : null}
      {hubs.map((hub) => (
        <Hub key={hub.id} hub={hub} locks={locks.filter((l) => l.hub?.id === hub.id)} />
      ))}
      <Standby />
      <PlanChanges />
    </Screen>
  )
}

/** The next thing to do: hang hubs, give locks their hubs, take the first that waits into service. */
function NextOfRadio({ hubs, locks }: { hubs: readonly RadioHub[]; locks: readonly RadioLock[] }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const carriers = useCarriers()
  const tell = (sent: Promise<unknown>) => sent.then(() => setWrong('')).catch((e: unknown) => setWrong(saysOf(e)))
  const hanging = hubs.find((h) => !h.controller)
  const near = hanging && (carriers.find((c) => c.cabinet === hanging.unit.cabinet) ?? carriers[0])
  const waiting = locks.filter((l) => l.controller && !l.hub)
  const next = [...hubs, ...locks].find((d) => d.controller && !facts.reach[d.id]?.owned)
  const bar = () => {
    if (hanging && near)
      return (
        <Action
          label={`Hang ${hanging.ref} on ${near.ref}`}
          aside={near.cabinet}
          onPress={() => tell(send('hub.hang', { hub: hanging.unit.id, controller: near.id }))}
        />
      )
    if (waiting.length && hubs.length)
      return (
        <Action
          label={`Give ${waiting.length === 1 ? '1 lock its hub' : `${waiting.length} locks their hubs`}`}
          aside="the nearest with room"
          onPress={() => tell(send('radio.spread', { controller: waiting[0]?.controller?.id ?? '' }))}
        />
      )
    if (next)
      return <Action label={`Reach ${next.ref}`} onPress={() => router.push(`/reach/${addressOfDevice(next.id)}`)} />
    return null
  }
  return (
    <>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {bar()}
    </>
  )
}

/** Where a device stands, in a line, with what was last heard of it. */
function Heard({ device }: { device: RadioDevice }) {
  const facts = useFacts()
  const standing = radioStandingOf(facts, device)
  const seen = facts.reach[device.id]?.byRadio
  const heard = [seen?.signal === undefined ? '' : `${seen.signal} dBm`, seen?.batteryLow ? 'battery low' : '']
  const open = device.kind === 'hub' ? 'to be taken into service' : 'to be paired'
  const says = facts.claim[device.id] || facts.reach[device.id] ? standing.says : open
  return (
    <View style={{ gap: 2 }}>
      <T size={15} tone={standing.tone}>
        {standing.link === 'joined' ? 'in service' : says}
      </T>
      {heard.some(Boolean) ? (
        <T face="mono" size={13}>
          {heard.filter(Boolean).join(', ')}
        </T>
      ) : null}
    </View>
  )
}

function Hub({ hub, locks }: { hub: RadioHub; locks: readonly RadioLock[] }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [open, setOpen] = useState(false)
  const { coding } = hub.sheet
  const set = coding && hub.address !== null ? switchesFor(coding, hub.address) : null
  const where = hub.controller ? `${hub.controller.ref}, address ${hub.address}` : 'on no controller'
  return (
    <Sheet flush title={`${hub.ref} in ${hub.unit.cabinet}: ${locks.length} of ${hub.most} locks`}>
      <Line label={`${hub.ref}, ${where}`} sign="unfolds" onPress={() => setOpen(!open)}>
        <View style={{ flexDirection: 'row', gap: 12 }}>
          <View style={{ flex: 1 }}>
            <T face="strong">{hub.ref}</T>
            <T face="mono" size={13}>
              {where}
            </T>
          </View>
          <View style={{ flex: 1.2 }}>
            <Heard device={hub} />
          </View>
        </View>
      </Line>
      {open ? (
        <View style={{ padding: 16, gap: 12 }}>
          {coding && set?.ok ? (
            <>
              <T face="mid">{`Switches for address ${hub.address}`}</T>
              <SwitchBank coding={coding} switches={set.switches} />
              <T>{set.words}</T>
            </>
          ) : null}
          {canFit(me) ? <HangsOn hub={hub} /> : null}
          {hub.controller ? (
            <Action
              kind="plain"
              label={facts.reach[hub.id]?.owned ? `Look at ${hub.ref}` : `Reach ${hub.ref}`}
              onPress={() => router.push(`/reach/${addressOfDevice(hub.id)}`)}
            />
          ) : null}
        </View>
      ) : null}
      {locks.map((lock) => (
        <LockRow key={lock.id} lock={lock} />
      ))}
    </Sheet>
  )
}

/** On which controller a hub hangs, and under which address. */
function HangsOn({ hub }: { hub: RadioHub }) {
  const send = useJob((s) => s.send)
  const [address, setAddress] = useState(String(hub.address ?? ''))
  const [wrong, setWrong] = useState('')
  const tell = (sent: Promise<unknown>) => sent.then(() => setWrong('')).catch((e: unknown) => setWrong(saysOf(e)))
  const carriers = useCarriers()
  const keep = () => {
    const typed = numberIn(address)
    if (typed === null || !Number.isInteger(typed)) return setWrong('An address is a whole number, for example 3.')
    return tell(send('hub.hang', { hub: hub.unit.id, controller: hub.controller?.id ?? null, address: typed }))
  }
  return (
    <View style={{ gap: 8 }}>
      <Pick
        label={`${hub.ref} hangs on`}
        value={hub.controller?.id ?? ''}
        options={[
          { value: '', label: 'no controller' },
          ...carriers.map((c) => ({ value: c.id, label: `${c.ref}, ${c.cabinet}` })),
        ]}
        onChange={(to) => void tell(send('hub.hang', { hub: hub.unit.id, controller: to || null }))}
      />
      {hub.controller ? (
        <>
          <Field
            label={`Address of ${hub.ref}`}
            value={address}
            onChange={setAddress}
            keyboard="numeric"
            mono
            error={wrong || undefined}
            onSubmit={() => void keep()}
          />
          <Action kind="plain" label="Save this address" onPress={keep} />
        </>
      ) : null}
      {wrong && !hub.controller ? <Notice tone="madder">{wrong}</Notice> : null}
    </View>
  )
}

function LockRow({ lock }: { lock: RadioLock }) {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const [open, setOpen] = useState(false)
  return (
    <View>
      <Line label={`${lock.ref} ${lock.door.name}`} sign="unfolds" onPress={() => setOpen(!open)}>
        <View style={{ flexDirection: 'row', gap: 12, paddingLeft: lock.hub ? 20 : 0 }}>
          <View style={{ flex: 1 }}>
            <T face="strong">{lock.ref}</T>
            <T size={15}>{lock.door.name}</T>
            {lock.place === null ? null : <T face="mono" size={13}>{`place ${lock.place}`}</T>}
          </View>
          <View style={{ flex: 1.2 }}>
            <Heard device={lock} />
          </View>
        </View>
      </Line>
      {open ? (
        <View style={{ padding: 16, gap: 8 }}>
          {canFit(me) ? <AtHub lock={lock} /> : null}
          {lock.hub ? (
            <Action
              kind="plain"
              label={facts.reach[lock.id]?.owned ? `Look at ${lock.ref}` : `Pair ${lock.ref}`}
              onPress={() => router.push(`/reach/${addressOfDevice(lock.id)}`)}
            />
          ) : null}
          <Action
            kind="plain"
            label="Go to its door"
            aside={lock.door.ref}
            onPress={() => router.push(`/doors/${lock.door.id}`)}
          />
        </View>
      ) : null}
    </View>
  )
}

/** Which hub joins a lock. */
function AtHub({ lock }: { lock: RadioLock }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [wrong, setWrong] = useState('')
  const hubs = radioHubs(facts, sheetsFor(facts)).filter((h) => h.controller && h.controller.id === lock.controller?.id)
  if (!lock.controller) return <T>{`${lock.door.ref} is on no controller yet. Place it first, under Plan.`}</T>
  if (hubs.length === 0) return <T>{`No hub hangs on ${lock.controller.ref} yet.`}</T>
  return (
    <Pick
      label={`Hub of ${lock.ref}`}
      value={lock.hub?.unit.id ?? ''}
      options={[
        { value: '', label: 'none' },
        ...hubs.map((h) => ({ value: h.unit.id, label: `${h.ref}, ${h.unit.cabinet}` })),
      ]}
      onChange={(hub) =>
        void send('lock.join', { door: lock.door.id, part: lock.part.id, hub: hub || null })
          .then(() => setWrong(''))
          .catch((e: unknown) => setWrong(saysOf(e)))
      }
      error={wrong || undefined}
    />
  )
}

/** What opens a lock whose radio is gone. */
function Standby() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const standby = facts.radioPlan['site']?.standby ?? null
  const plain = standby?.serial === undefined
  const [text, setText] = useState(standby && plain ? `${standby.facility} ${standby.number}` : '')
  const [wrong, setWrong] = useState('')
  const keep = () => {
    const [facility, number] = text
      .trim()
      .split(/\s+/)
      .map((t) => numberIn(t))
    if (text.trim() !== '' && (facility == null || number == null))
      return setWrong('Write it as facility and number, for example 88 10100.')
    const card = facility == null || number == null ? null : numberedCard(usualFormat, facility, number)
    return send('radioPlan.put', { standby: card })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  return (
    <Sheet title="Standby credential">
      <T>Opens a wireless lock whose radio is gone. Nobody carries it: it lies in an envelope.</T>
      <T face="strong">{standby ? cardName(standby) : 'None yet: nobody gets in while the radio is gone.'}</T>
      {canFit(me) ? (
        <>
          <Field
            label="Its card"
            value={text}
            onChange={setText}
            hint="88 10100"
            mono
            error={wrong || undefined}
            onSubmit={() => void keep()}
          />
          <Action kind="plain" label="Save it" onPress={keep} />
        </>
      ) : null}
    </Sheet>
  )
}

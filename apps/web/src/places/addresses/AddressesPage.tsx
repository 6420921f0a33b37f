import {
  addressKey,
  addressPlan,
  busPlans,
  jobOf,
  maskOf,
  sheetOf,
  switchesFor,
  type AddressLine,
  type BusLine,
  type BusPlan,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { router } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { Line, Notice, Screen, Sheet } from '../../parts/Screen'
import { T } from '../../parts/Text'
import { PlanChanges } from '../../parts/PlanChanges'
import { ChainPlace } from './ChainPlace'
import { SwitchBank } from '../../signs/SwitchBank'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'
import { canFit, useSession } from '../../state/session'

/** Every address of the job: on the network, on each bus, and how the switches stand for it. */
export function AddressesPage() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [wrong, setWrong] = useState('')
  const [chosen, setChosen] = useState<string | null>(null)
  const network = jobOf(facts)?.network
  const plan = addressPlan(facts, sheetsFor(facts))
  const buses = busPlans(facts, sheetsFor(facts))
  const open = plan.lines.filter((l) => l.fault && l.proposed)
  const openBus = buses.flatMap((b) => b.lines).filter((l) => l.fault && l.proposed !== null)
  const give = () =>
    send('addresses.put', {
      controllers: open.flatMap((l) => (l.key.kind === 'controller' ? [{ id: l.key.id, address: l.proposed }] : [])),
      units: open.flatMap((l) => (l.key.kind === 'unit' ? [{ id: l.key.id, address: l.proposed }] : [])),
      parts: [
        ...open.flatMap((l) => (l.key.kind === 'part' ? [{ door: l.key.door, part: l.key.part, ip: l.proposed }] : [])),
        ...openBus.flatMap((l) => (l.proposed === null ? [] : [{ door: l.door, part: l.part, address: l.proposed }])),
      ],
    })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  const count = open.length + openBus.length
  return (
    <Screen
      columns
      title="Addresses"
      under={
        network
          ? `${network.address}/${network.prefix} · mask ${maskOf(network.prefix)} · gateway ${network.gateway}`
          : 'The job has no network yet'
      }
      bar={
        !canFit(me) ? null : count ? (
          <Action label={`Give ${count} addresses as proposed`} onPress={give} />
        ) : (
          <Action kind="plain" label="Read switches" onPress={() => router.push('/addresses/switches')} />
        )
      }
    >
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      {plan.faults.map((f) => (
        <Notice key={f} tone="madder">
          {f}
        </Notice>
      ))}
      {plan.collisions.map((c) => (
        <Notice
          key={c.address}
          tone="ochre"
        >{`${c.refs.length} devices leave the factory on ${c.address}: ${c.refs.slice(0, 6).join(', ')}${c.refs.length > 6 ? ' …' : ''}. Power them one after the other, each taken into service before the next.`}</Notice>
      ))}
      <Sheet flush title={`On the network, ${plan.free} addresses free`}>
        {plan.lines.map((l) => {
          const key = addressKey(l.key)
          return (
            <NetworkLine
              key={key}
              line={l}
              open={chosen === key}
              onOpen={() => setChosen(chosen === key ? null : key)}
            />
          )
        })}
        {plan.lines.length === 0 ? <T style={{ padding: 16 }}>No device with an address is planned yet.</T> : null}
      </Sheet>
      {buses.map((b) => (
        <Bus key={`${b.controller} ${b.bus}`} plan={b} chosen={chosen} onChoose={setChosen} />
      ))}
      <Sheet title="For the client’s IT">
        <T>Which device talks with which, over which port; each line can be tried from here.</T>
        <Action kind="plain" label="What IT must let through" onPress={() => router.push('/addresses/flows')} />
      </Sheet>
      <Sheet title="The other way">
        <T>What do the switches show? Enter them and learn the address.</T>
        <Action kind="plain" label="Read switches" onPress={() => router.push('/addresses/switches')} />
      </Sheet>
      <PlanChanges />
    </Screen>
  )
}

function NetworkLine({ line: l, open, onOpen }: { line: AddressLine; open: boolean; onOpen: () => void }) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [text, setText] = useState(l.address || l.proposed)
  const [wrong, setWrong] = useState('')
  const keep = () => {
    const { key } = l
    const address = text.trim()
    const save = () => {
      if (key.kind === 'part') return send('part.address', { door: key.door, part: key.part, ip: address })
      const [controller, unit] = [facts.controller[key.id], facts.unit[key.id]]
      if (key.kind === 'controller' && controller) return send('controller.put', { ...controller, address })
      if (key.kind === 'unit' && unit) return send('unit.put', { ...unit, address })
      return Promise.reject(new Error(`${l.ref} has been removed meanwhile.`))
    }
    return save()
      .then(() => {
        setWrong('')
        onOpen()
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  return (
    <View>
      <Line
        label={`${l.ref} ${l.address || 'no address'}${l.fault ? `. ${l.fault}` : ''}`}
        sign="unfolds"
        onPress={onOpen}
      >
        <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
          <T face="mono" style={{ width: 76 }}>
            {l.ref}
          </T>
          <View style={{ flex: 1, minWidth: 0 }}>
            <T>{l.what}</T>
            {l.fault && l.address ? (
              <T size={13} tone="madder">
                {l.fault}
              </T>
            ) : null}
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            {l.address ? (
              <T face="mono">{l.address}</T>
            ) : (
              <T tone="ochre" size={13}>
                none yet, proposed
              </T>
            )}
            {l.fault && l.proposed ? (
              <T face="mono" tone="slate">
                {l.proposed}
              </T>
            ) : null}
          </View>
        </View>
      </Line>
      {open && canFit(me) ? (
        <View style={{ padding: 16, gap: 8 }}>
          {l.factory ? (
            <T tone="quiet">{`From the factory: ${l.factory}`}</T>
          ) : (
            <T tone="quiet">From the factory it asks the network for an address.</T>
          )}
          <Field
            label={`Address of ${l.ref}`}
            value={text}
            onChange={setText}
            mono
            error={wrong || undefined}
            onSubmit={() => {
              void keep()
            }}
          />
          <Action kind="plain" label="Save this address" onPress={keep} />
        </View>
      ) : null}
    </View>
  )
}

function Bus({
  plan,
  chosen,
  onChoose,
}: {
  plan: BusPlan
  chosen: string | null
  onChoose: (key: string | null) => void
}) {
  return (
    <Sheet flush title={`${plan.ref}, ${plan.bus}: ${plan.lines.length} on it, ${plan.unitLoads} unit loads of 32`}>
      {plan.faults.map((f) => (
        <Notice key={f} tone="madder">
          {f}
        </Notice>
      ))}
      <T
        size={13}
        tone="quiet"
        style={{ paddingHorizontal: 16 }}
      >{`One daisy chain${plan.known ? ', run' : ''} in this order, with a reference conductor beside A and B; a terminator at each end and nowhere else.${plan.known ? '' : ' Nobody has said yet how it is run: open a device to say so.'}`}</T>
      {plan.lines.map((l, i) => {
        const key = `bus/${l.door}/${l.part}`
        return (
          <BusRow
            key={key}
            plan={plan}
            at={i}
            line={l}
            last={i === plan.lines.length - 1}
            open={chosen === key}
            onOpen={() => onChoose(chosen === key ? null : key)}
          />
        )
      })}
    </Sheet>
  )
}

function BusRow({
  plan,
  at,
  line: l,
  last,
  open,
  onOpen,
}: {
  plan: BusPlan
  at: number
  line: BusLine
  last: boolean
  open: boolean
  onOpen: () => void
}) {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const me = useSession((s) => s.me)
  const [text, setText] = useState(String(l.address ?? l.proposed ?? ''))
  const [wrong, setWrong] = useState('')
  const coding = sheetOf(sheetsFor(facts), l.sheet).coding
  const set = coding && l.proposed !== null ? switchesFor(coding, l.proposed) : null
  const keep = () => {
    const address = numberIn(text)
    if (address === null || !Number.isInteger(address)) {
      setWrong('A bus address is a whole number from 0 to 126.')
      return undefined
    }
    return send('part.address', { door: l.door, part: l.part, address })
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  const end = l.terminator
  return (
    <View>
      <Line
        label={`${l.ref} address ${l.address ?? 'none'}${l.fault ? `. ${l.fault}` : ''}`}
        sign="unfolds"
        onPress={onOpen}
      >
        <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
          <T face="mono" style={{ width: 76 }}>
            {l.ref}
          </T>
          <View style={{ flex: 1, minWidth: 0 }}>
            <T>{l.what}</T>
            {l.fault ? (
              <T size={13} tone={l.address === null ? 'ochre' : 'madder'}>
                {l.fault}
              </T>
            ) : null}
            {end && end.position !== end.factory ? (
              <T size={13} tone="ochre">{`Jumper ${end.jumper}: set it ${end.position}; it comes ${end.factory}.`}</T>
            ) : last && !end ? (
              <T size={13} tone="ochre">
                It ends the chain and has no terminator: put 120 Ω across A and B.
              </T>
            ) : null}
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            <T face="mono">{l.address === null ? 'none' : String(l.address)}</T>
            {l.fault && l.proposed !== null ? (
              <T face="mono" size={13} tone="slate">{`proposed ${l.proposed}`}</T>
            ) : null}
          </View>
        </View>
      </Line>
      {open ? (
        <View style={{ padding: 16, gap: 8 }}>
          {coding && set?.ok ? (
            <>
              <T face="mid">{`For address ${l.proposed}`}</T>
              <SwitchBank coding={coding} switches={set.switches} />
              <T>{set.words}</T>
            </>
          ) : (
            <T tone="quiet">Its address is set over the bus, not by switches.</T>
          )}
          {canFit(me) ? (
            <>
              <Field
                label={`Bus address of ${l.ref}`}
                value={text}
                onChange={setText}
                mono
                keyboard="numeric"
                error={wrong || undefined}
              />
              <Action kind="plain" label="Save this address" onPress={keep} />
              <ChainPlace plan={plan} at={at} />
            </>
          ) : null}
        </View>
      ) : null}
    </View>
  )
}

import {
  all,
  areaTree,
  isSerial,
  jobOf,
  numberedCard,
  serialCard,
  usualFormat,
  type StoredCard,
  type TestCards,
  usualLimits,
} from '@rauta/core'
import type { CommandPayloads } from '@rauta/contracts'
import { useState } from 'react'
import { View } from 'react-native'
import { v7 } from 'uuid'
import { Action, Chips } from '../../parts/Action'
import { Field, numberIn } from '../../parts/Field'
import { FormatPick } from '../../parts/FormatPick'
import { Pick } from '../../parts/Pick'
import { ZonePick } from '../../parts/ZonePick'
import { Notice, Screen, Sheet } from '../../parts/Screen'
import { TakeAway } from '../../parts/TakeAway'
import { T } from '../../parts/Text'
import { AreaMap } from '../../signs/AreaMap'
import { saysOf } from '../../state/api'
import { useCommandForm } from '../../state/commandForm'
import { useFacts, useJob } from '../../state/job'
import { useSession } from '../../state/session'
import { useSettings } from '../../state/settings'

/** The job: client, site, zone, network, areas, limits, test cards; and the ground this device shows. */
export function JobPage() {
  const facts = useFacts()
  const job = jobOf(facts)
  const { ground, setGround } = useSettings()
  if (!job) return null
  return (
    <Screen columns title={job.name} under={`${job.client} · ${job.site} · ${job.zone}`}>
      <Sheet title="Display of this device">
        <Chips
          label="Display"
          value={ground}
          onChange={setGround}
          options={[
            { value: 'device', label: 'As the device' },
            { value: 'daylight', label: 'Light' },
            { value: 'plant', label: 'Dark' },
          ]}
        />
      </Sheet>
      <Areas />
      <JobForm />
      <Kit />
    </Screen>
  )
}

function Areas() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [form, setForm] = useState({ code: '', name: '', parent: '' })
  const [wrong, setWrong] = useState('')
  const [chosen, setChosen] = useState('')
  const areas = all(facts, 'area')
  const choose = (id: string) => {
    const area = facts.area[id]
    setChosen(area ? id : '')
    setForm({ code: area?.code ?? '', name: area?.name ?? '', parent: area?.parent ?? '' })
    setWrong('')
  }
  const add = () =>
    send('area.put', {
      id: chosen || v7(),
      code: form.code.trim().toUpperCase(),
      name: form.name.trim(),
      ...(form.parent ? { parent: form.parent } : {}),
    })
      .then(() => {
        setForm({ code: '', name: '', parent: form.parent })
        setChosen('')
        setWrong('')
      })
      .catch((e: unknown) => setWrong(saysOf(e)))
  return (
    <Sheet title="Areas, and what leads where">
      <AreaMap areas={areas} doors={all(facts, 'door')} />
      {areas.length ? (
        <Pick
          label="Add one, or change"
          value={chosen}
          options={[
            { value: '', label: 'a new area' },
            ...areaTree(areas).map(({ area, depth }) => ({
              value: area.id,
              label: `${'  '.repeat(depth)}${area.code} ${area.name}`,
            })),
          ]}
          onChange={choose}
        />
      ) : null}
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 1 }}>
          <Field label="Code" value={form.code} onChange={(code) => setForm({ ...form, code })} mono />
        </View>
        <View style={{ flex: 2 }}>
          <Field label="Name of the area" value={form.name} onChange={(name) => setForm({ ...form, name })} />
        </View>
      </View>
      <Pick
        label="It is part of"
        value={form.parent}
        options={[
          { value: '', label: 'nothing larger' },
          ...areaTree(areas)
            .filter(({ area }) => area.id !== chosen)
            .map(({ area, depth }) => ({ value: area.id, label: `${'  '.repeat(depth)}${area.name}` })),
        ]}
        onChange={(parent) => setForm({ ...form, parent })}
      />
      <Action kind="plain" label={chosen ? 'Save the area' : 'Add the area'} onPress={add} />
      {chosen ? (
        <TakeAway inSheet kind="area" id={chosen} name={facts.area[chosen]?.name ?? ''} onGone={() => choose('')} />
      ) : null}
    </Sheet>
  )
}

interface SiteForm {
  client: string
  site: string
  zone: string
  address: string
  prefix: string
  gateway: string
  timeServer: string
  reserved: string
  watch: string
  clock: string
  reach: string
  receipt: string
}

/** A number as it was typed, or the text itself, which the check refuses in words. */
const typedNumber = (text: string): number => (numberIn(text) ?? text) as number

const sitePayload = (form: SiteForm): CommandPayloads['job.edit'] => ({
  fields: {
    client: form.client,
    site: form.site,
    zone: form.zone,
    network: {
      address: form.address,
      prefix: typedNumber(form.prefix),
      gateway: form.gateway,
      timeServer: form.timeServer,
      ...(form.reserved.trim() ? { reserved: form.reserved.trim() } : {}),
    },
    limits: {
      watchS: typedNumber(form.watch),
      clockS: typedNumber(form.clock),
      reachS: typedNumber(form.reach),
      receiptS: typedNumber(form.receipt),
    },
  },
})
const siteFields = {
  'network.address': 'address',
  'network.prefix': 'prefix',
  'network.gateway': 'gateway',
  'network.timeServer': 'timeServer',
  'network.reserved': 'reserved',
  'limits.watchS': 'watch',
  'limits.clockS': 'clock',
  'limits.reachS': 'reach',
  'limits.receiptS': 'receipt',
} as const

function JobForm() {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const job = jobOf(facts)
  const form = useCommandForm<'job.edit', SiteForm>({
    command: 'job.edit',
    draft: 'job',
    first: {
      client: job?.client ?? '',
      site: job?.site ?? '',
      zone: job?.zone ?? '',
      address: job?.network.address ?? '',
      prefix: String(job?.network.prefix ?? 24),
      gateway: job?.network.gateway ?? '',
      timeServer: job?.network.timeServer ?? '',
      reserved: job?.network.reserved ?? '',
      watch: String(job?.limits.watchS ?? usualLimits.watchS),
      clock: String(job?.limits.clockS ?? usualLimits.clockS),
      reach: String(job?.limits.reachS ?? usualLimits.reachS),
      receipt: String(job?.limits.receiptS ?? usualLimits.receiptS),
    },
    payload: sitePayload,
    fields: siteFields,
    onSent: () => undefined,
  })
  if (me?.role !== 'lead') return null
  const { value, set, error } = form
  return (
    <Sheet title="Site and network">
      {form.wrong ? <Notice tone="madder">{form.wrong}</Notice> : null}
      <Field label="Client" value={value.client} error={error('client')} onChange={set('client')} />
      <Field label="Site" value={value.site} error={error('site')} onChange={set('site')} />
      <ZonePick label="Time zone" value={value.zone} error={error('zone')} onChange={set('zone')} />
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <View style={{ flex: 2 }}>
          <Field label="Subnet" value={value.address} error={error('address')} onChange={set('address')} mono />
        </View>
        <View style={{ flex: 1 }}>
          <Field label="Prefix" value={value.prefix} error={error('prefix')} onChange={set('prefix')} mono />
        </View>
      </View>
      <Field label="Gateway" value={value.gateway} error={error('gateway')} onChange={set('gateway')} mono />
      <Field
        label="Time server"
        value={value.timeServer}
        error={error('timeServer')}
        onChange={set('timeServer')}
        mono
      />
      <Field
        label="Addresses that are not ours"
        value={value.reserved}
        error={error('reserved')}
        onChange={set('reserved')}
        hint="10.61.8.1-20, 10.61.8.200"
        mono
      />
      <Field
        label="Read devices again every, s"
        value={value.watch}
        error={error('watch')}
        onChange={set('watch')}
        mono
        keyboard="numeric"
      />
      <Field
        label="A clock may be off by, s"
        value={value.clock}
        error={error('clock')}
        onChange={set('clock')}
        mono
        keyboard="numeric"
      />
      <Field
        label="Silence before Reach is stale, s"
        value={value.reach}
        error={error('reach')}
        onChange={set('reach')}
        mono
        keyboard="numeric"
      />
      <Field
        label="An event may come late by, s"
        value={value.receipt}
        error={error('receipt')}
        onChange={set('receipt')}
        mono
        keyboard="numeric"
      />
      <Action kind="plain" label="Save site and network" onPress={form.submit} />
    </Sheet>
  )
}

const kitCards: { key: 'good' | 'lost' | 'outOfHours' | 'unknown'; label: string }[] = [
  { key: 'good', label: 'Good card' },
  { key: 'lost', label: 'Lost card' },
  { key: 'outOfHours', label: 'Card out of hours' },
  { key: 'unknown', label: 'Card nobody is told of' },
]

function Kit() {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const kit = facts.testCards['kit']
  const [form, setForm] = useState(
    () =>
      Object.fromEntries(
        kitCards.map(({ key }) => [key, kit ? (kit[key].serial ?? `${kit[key].facility} ${kit[key].number}`) : '']),
      ) as Record<(typeof kitCards)[number]['key'], string>,
  )
  const [wrong, setWrong] = useState('')
  const [format, setFormat] = useState(kit?.good.format ?? usualFormat)
  const cardIn = (text: string): StoredCard | null => {
    if (isSerial(format)) return serialCard(format, text)
    const [facility, number] = text
      .trim()
      .split(/\s+/)
      .map((t) => numberIn(t))
    return facility == null || number == null ? null : numberedCard(format, facility, number)
  }
  const keep = async () => {
    const cards = kitCards.map(({ key }) => [key, cardIn(form[key])] as const)
    if (cards.some(([, c]) => !c)) {
      setWrong('Write each card as facility and number, for example 88 10001.')
      return
    }
    await send('testCards.put', { id: 'kit', ...Object.fromEntries(cards) } as TestCards)
      .then(() => setWrong(''))
      .catch((e: unknown) => setWrong(saysOf(e)))
  }
  return (
    <Sheet title="Test cards">
      <T tone="quiet">Four cards you carry to prove doors. They open only doors that are not signed yet.</T>
      {wrong ? <Notice tone="madder">{wrong}</Notice> : null}
      <FormatPick label="Format of the test cards" value={format} onChange={setFormat} />
      {kitCards.map(({ key, label }) => (
        <Field
          key={key}
          label={label}
          value={form[key]}
          onChange={(v) => setForm({ ...form, [key]: v })}
          hint={isSerial(format) ? '04 A1 B2 C3' : '88 10001'}
          mono
        />
      ))}
      <Action kind="plain" label="Save the test cards" onPress={keep} />
    </Sheet>
  )
}

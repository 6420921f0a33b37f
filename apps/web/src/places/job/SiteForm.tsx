import { jobOf, usualLimits } from '@rauta/core'
import type { CommandPayloads } from '@rauta/contracts'
import { View } from 'react-native'
import { Action } from '../../parts/Action'
import { Field, typedNumber } from '../../parts/Field'
import { ZonePick } from '../../parts/ZonePick'
import { Notice, Sheet } from '../../parts/Screen'
import { useCommandForm } from '../../state/commandForm'
import { useFacts } from '../../state/job'
import { useSession } from '../../state/session'

interface SiteFields {
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

const sitePayload = (form: SiteFields): CommandPayloads['job.edit'] => ({
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

/** The job’s site and network: the lead’s alone. */
export function SiteForm() {
  const facts = useFacts()
  const me = useSession((s) => s.me)
  const job = jobOf(facts)
  const form = useCommandForm<'job.edit', SiteFields>({
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

import {
  all,
  drop,
  hangingOn,
  jobOf,
  networkFault,
  put,
  addressRanges,
  usualLimits,
  type Area,
  type Job,
  type SiteNetwork,
} from '@rauta/core'
import { defineCommand, existing, flag, id, name, object, Refusal, text } from './command'

export const networkSchema = object(
  {
    address: text,
    prefix: { type: 'integer', minimum: 8, maximum: 30 },
    gateway: text,
    timeServer: text,
    reserved: text,
  },
  ['reserved'],
)

export function zoneFault(zone: string): string | null {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return null
  } catch {
    return `${zone || 'An empty zone'} is not a time zone. Write one like Europe/Helsinki.`
  }
}

function checkNetwork(n: SiteNetwork): void {
  const odd = addressRanges(n.reserved ?? '').faults[0]
  if (odd) throw new Refusal(odd, 'network.reserved')
  const fault = networkFault(n)
  if (fault) throw new Refusal(fault.says, `network.${fault.field}`)
}

export const jobCreate = defineCommand<{
  name: string
  client: string
  site: string
  zone: string
  network: SiteNetwork
  publicKey: string
}>()({
  name: 'job.create',
  roles: ['lead'],
  schema: object({ name, client: text, site: text, zone: name, network: networkSchema, publicKey: text }),
  apply(facts, p) {
    if (jobOf(facts)) throw new Refusal('This job exists already.')
    const fault = zoneFault(p.zone)
    if (fault) throw new Refusal(fault, 'zone')
    checkNetwork(p.network)
    const job: Job = { id: 'job', ...p, limits: usualLimits }
    return [put(facts, 'job', job)]
  },
  words: (_f, p) => `Began the job ${p.name}`,
})

const seconds = { type: 'number', minimum: 1, maximum: 86400 } as const
export const jobEdit = defineCommand<{
  fields: Partial<Pick<Job, 'name' | 'client' | 'site' | 'zone' | 'network' | 'limits'>>
}>()({
  name: 'job.edit',
  roles: ['lead'],
  schema: object({
    fields: object(
      {
        name,
        client: text,
        site: text,
        zone: name,
        network: networkSchema,
        limits: object({ watchS: seconds, receiptS: seconds, reachS: seconds, clockS: seconds }),
      },
      ['name', 'client', 'site', 'zone', 'network', 'limits'],
    ),
  }),
  apply(facts, p) {
    const job = existing(jobOf(facts), 'job', '')
    const fault = p.fields.zone !== undefined ? zoneFault(p.fields.zone) : null
    if (fault) throw new Refusal(fault, 'zone')
    if (p.fields.network) checkNetwork(p.fields.network)
    return [put(facts, 'job', { ...job, ...p.fields })]
  },
  words: (_f, p) => `Changed ${Object.keys(p.fields).join(', ')} of the job`,
  edits: (p) => ({ kind: 'job', id: 'job', fields: p.fields }),
  keepFields: (p, fields) => ({
    fields: Object.fromEntries(Object.entries(p.fields).filter(([k]) => fields.includes(k))),
  }),
})

export const areaPut = defineCommand<Area>()({
  name: 'area.put',
  roles: ['lead', 'engineer'],
  schema: object({ id, code: { type: 'string', pattern: '^[A-Z0-9]{1,4}$' }, name, parent: id }, ['parent']),
  apply(facts, p) {
    for (let at = p.parent; at !== undefined; at = facts.area[at]?.parent) {
      if (at === p.id)
        throw new Refusal('An area cannot be part of itself, nor of an area inside it. Choose another.', 'parent')
      existing(facts.area[at], 'area', at)
    }
    const twin = all(facts, 'area').find((a) => a.code === p.code && a.id !== p.id)
    if (twin) throw new Refusal(`Code ${p.code} already stands for ${twin.name}.`, 'code')
    return [put(facts, 'area', p)]
  },
  words: (_f, p) => `Area ${p.code} ${p.name}`,
})

export const areaRemove = defineCommand<{ id: string }>()({
  name: 'area.remove',
  roles: ['lead'],
  schema: object({ id }),
  apply(facts, p) {
    const area = existing(facts.area[p.id], 'area', p.id)
    const { first } = hangingOn(facts, 'area', p.id)
    if (first) throw new Refusal(`${area.name} stays: ${first}`)
    return drop(facts, 'area', p.id)
  },
  words: (f, p) => `Removed area ${f.area[p.id]?.name ?? p.id}`,
})

export const questionSettle = defineCommand<{ id: string; takeOffered: boolean }>()({
  name: 'question.settle',
  roles: ['lead', 'engineer'],
  schema: object({ id, takeOffered: flag }),
  apply(facts, p) {
    const question = existing(facts.question[p.id], 'open question', p.id)
    const changes = drop(facts, 'question', p.id)
    const record = facts[question.kind][question.record] as { id: string } | undefined
    if (p.takeOffered && record)
      changes.unshift(put(facts, question.kind, { ...record, [question.field]: question.offered } as never))
    return changes
  },
  words: (f, p) => `Settled the question about ${f.question[p.id]?.field ?? ''}`,
})

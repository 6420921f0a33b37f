import type { Facts, RecordKind } from './facts'
import { recordKind } from './kind'

/** The job itself: who it is for, where it is, and the figures the client's IT gave. */
export interface Job {
  id: 'job'
  name: string
  client: string
  site: string
  /** IANA zone of the site, for example `Europe/Helsinki`. */
  zone: string
  network: SiteNetwork
  limits: JobLimits
  /** Ed25519 public key of the job, hex; every record of a door is signed with it. */
  publicKey: string
  /** Where that key was changed: each change, signed by the key until then, the oldest first. */
  keyChanges?: { from: string; to: string; at: number; signed: string }[]
}

/** By what a job is told from every other: the first key that it had. */
export const jobIdentity = (job: Job | undefined): string => job?.keyChanges?.[0]?.from ?? job?.publicKey ?? ''

/** What the client's IT allows this job to use. */
export interface SiteNetwork {
  /** Network address, for example `10.61.8.0`. */
  address: string
  /** Prefix length in bits, 8 to 30. */
  prefix: number
  gateway: string
  timeServer: string
  /** Addresses that are not ours: `10.61.8.1-20, 10.61.8.200`. */
  reserved?: string
}

/** Limits of a job that nobody has changed. */
export const usualLimits: JobLimits = { watchS: 24, receiptS: 60, reachS: 120, clockS: 2 }

/** Limits that a lead may change per job; all in seconds. */
export interface JobLimits {
  /** How often a device's configuration is read again. */
  watchS: number
  /** How far a receipt may lie from the device's own stamp before a test is not judged. */
  receiptS: number
  /** How long a device may stay silent while the server tries, before Reach goes stale. */
  reachS: number
  /** How far a device's clock may be off. */
  clockS: number
}

export interface Area {
  id: string
  /** Short code that begins the references of its doors, for example `Q`. */
  code: string
  name: string
  /** The area it is part of. */
  parent?: string
}

/** Two edits of one field met: `kept` came first and is in force, `offered` waits until somebody chooses. */
export interface Question {
  id: string
  kind: RecordKind
  record: string
  field: string
  kept: unknown
  offered: unknown
  by: string
  at: number
}

/** A change that was taken back: `r` and its revision; `by` is the revision that did. */
export interface Undone {
  id: string
  by: number
}
/** What the columns of door schedules were said to mean, by their titles in small letters. Its id is `doors`. */
export interface ColumnMemory {
  id: string
  meanings: Record<string, string>
}

declare module './facts' {
  interface RecordTypes {
    job: Job
    area: Area
    question: Question
    undone: Undone
    columns: ColumnMemory
  }
}

export const jobKind = recordKind('job', {
  fields: {
    id: 'text',
    name: 'text',
    client: 'text',
    site: 'text',
    zone: 'text',
    network: 'object',
    limits: 'object',
    publicKey: 'text',
    keyChanges: 'list?',
  },
  touches: () => ({ everything: true }),
})
export const areaKind = recordKind('area', {
  fields: { id: 'text', code: 'text', name: 'text', parent: 'text?' },
  touches: () => ({ everything: true }),
})
export const questionKind = recordKind('question', {
  fields: {
    id: 'text',
    kind: 'text',
    record: 'text',
    field: 'text',
    kept: 'any',
    offered: 'any',
    by: 'text',
    at: 'number',
  },
})
export const undoneKind = recordKind('undone', { fields: { id: 'text', by: 'number' } })
export const columnsKind = recordKind('columns', { fields: { id: 'text', meanings: 'object' } })

/** The job record, where one has been made. */
export const jobOf = (facts: Facts): Job | undefined => facts.job['job']

import { id, name, object, roles, text } from '../commands/command'
import { networkSchema } from '../commands/job'
import { doorOrders, type Change, type Question } from '@rauta/core'

export interface CommandRequest {
  id: string
  name: string
  payload: unknown
  /** Revision that the author had seen. */ seen: number
  /** How long it waited on a phone before it was sent, ms by that phone's own clock. */ waitedMs?: number
  /** Which phone or window made it: what the same person did there before is known to it, seen or not. */ phone?: string
}
/** What became of one of many commands. */
export type BatchResult =
  | { id: string; ok: true; rev: number; repeated: boolean; questions: number }
  | { id: string; ok: false; says: string; field?: string }
/** Records that waited on a phone, saved to a file: brought in by the lead, they count as made by `by`. */
export interface WaitingFile {
  format: 'rauta-waiting-1'
  /** Public key of the job. */ job: string
  by: string
  savedAt: string
  records: CommandRequest[]
}
/** Most commands in one batch. */
export const batchMost = 250
export interface CommandAnswer {
  rev: number
  changes: Change[]
  repeated: boolean
  questions: Question[]
}

/** How far a load is; told on the live stream only. */
export interface LoadProgress {
  id: string
  total: number
  done: number
}

/** A search through addresses one by one: where multicast does not get through, or other subnets are reached by a gateway. */
export interface Sweep {
  id: string
  by: string
  total: number
  done: number
  /** Devices that were asked who they are, and told. */
  found: number
  /** Something answers there and speaks nothing that is known here. */
  strangers: number
  /** This computer knows no way there. */
  noWay: number
  state: 'running' | 'stopped' | 'ended'
}

/** RFC 9457 problem details, with `says` for people. */
export interface Problem {
  type: string
  title: string
  status: number
  says: string
  field?: string
}

export const uuid = {
  type: 'string',
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$',
} as const
const cred = { type: 'string', minLength: 1, maxLength: 200 } as const
/** At least; what it may not be besides is said where it is set. */
const newPassword = { type: 'string', minLength: 10, maxLength: 200 } as const

const command = object(
  {
    id: uuid,
    name,
    payload: { type: 'object' },
    seen: { type: 'integer', minimum: 0 },
    waitedMs: { type: 'number', minimum: 0 },
    phone: { type: 'string', minLength: 8, maxLength: 40 },
  },
  ['waitedMs', 'phone'],
)

/** Bodies of the HTTP interface. */
export const bodies = {
  command,
  batch: object({ records: { type: 'array', minItems: 1, maxItems: batchMost, items: command } }),
  waiting: object({
    format: { const: 'rauta-waiting-1' },
    job: text,
    by: cred,
    savedAt: text,
    records: { type: 'array', minItems: 1, maxItems: 5000, items: command },
  }),
  signIn: object({ name: cred, password: cred }),
  order: object({ order: { enum: doorOrders }, reason: text }),
  firstUse: object(
    {
      name: cred,
      password: newPassword,
      code: text,
      job: object({ name, client: text, site: text, zone: name, network: networkSchema }),
    },
    ['code'],
  ),
  account: object({ name: cred, password: newPassword, role: { enum: roles } }),
  role: object({ role: { enum: roles } }),
  newPassword: object({ password: newPassword }),
  ownPassword: object({ old: cred, password: newPassword }),
  flowTest: object({ id: { type: 'string', minLength: 1, maxLength: 300 } }),
  search: object({ address: text }, ['address']),
  blink: object({ door: id, part: id }),
  devicePassword: object({ user: cred, password: cred }),
  sweep: object({ range: { type: 'string', minLength: 1, maxLength: 1000 } }),
  takePaper: object({ sure: { type: 'boolean' } }, ['sure']),
  keep: object({ file: { type: 'string', minLength: 1, maxLength: 4000 } }),
  columns: object(
    {
      table: { type: 'integer', minimum: 0, maximum: 1000 },
      headerRow: { type: 'integer', minimum: 0, maximum: 10000 },
      columns: { type: 'object', maxProperties: 500, additionalProperties: { type: 'string', maxLength: 120 } },
    },
    ['table', 'headerRow', 'columns'],
  ),
} as const

/** Doors that were signed, with the marks that they would lose. */
const losses = {
  type: 'array',
  items: {
    type: 'object',
    required: ['door', 'ref', 'marks'],
    properties: {
      door: { type: 'string' },
      ref: { type: 'string' },
      marks: { type: 'array', items: { type: 'string' } },
    },
  },
} as const

/** Shapes of the answers, as the OpenAPI document shows them. */
export const answers = {
  problem: {
    type: 'object',
    required: ['type', 'title', 'status', 'says'],
    properties: {
      type: { type: 'string' },
      title: { type: 'string' },
      status: { type: 'integer' },
      says: { type: 'string' },
      field: { type: 'string' },
    },
  },
  command: {
    type: 'object',
    required: ['rev', 'changes', 'repeated', 'questions'],
    properties: {
      rev: { type: 'integer' },
      changes: { type: 'array' },
      repeated: { type: 'boolean' },
      questions: { type: 'array' },
    },
  },
  sessions: {
    type: 'object',
    required: ['sessions'],
    properties: {
      sessions: {
        type: 'array',
        items: {
          type: 'object',
          required: ['id', 'name', 'since', 'seen', 'from', 'own'],
          properties: {
            id: { type: 'string' },
            name: { type: 'string' },
            since: { type: 'integer' },
            seen: { type: 'integer' },
            from: { type: 'string' },
            own: { type: 'boolean' },
          },
        },
      },
    },
  },
  flows: {
    type: 'object',
    required: ['flows'],
    properties: {
      flows: {
        type: 'array',
        items: {
          type: 'object',
          required: ['id', 'use', 'from', 'to', 'transport', 'port', 'protocol', 'test', 'maybe', 'fault'],
          properties: {
            id: { type: 'string' },
            transport: { enum: ['tcp', 'udp'] },
            port: { type: ['integer', 'null'] },
            test: { enum: ['connect', 'time', null] },
            maybe: { type: 'boolean' },
            fault: { type: ['string', 'null'] },
          },
        },
      },
    },
  },
  flowTest: {
    type: 'object',
    required: ['outcome', 'tookMs', 'open', 'says'],
    properties: {
      outcome: { enum: ['open', 'refused', 'silent', 'noWay'] },
      tookMs: { type: 'number' },
      /** Of a time server's clock less this computer's, ms. */ offsetMs: { type: 'number' },
      open: { type: 'boolean' },
      says: { type: 'string' },
    },
  },
  sweep: {
    type: 'object',
    required: ['id', 'by', 'total', 'done', 'found', 'strangers', 'noWay', 'state'],
    properties: {
      id: { type: 'string' },
      by: { type: 'string' },
      total: { type: 'integer' },
      done: { type: 'integer' },
      found: { type: 'integer' },
      strangers: { type: 'integer' },
      noWay: { type: 'integer' },
      state: { enum: ['running', 'stopped', 'ended'] },
    },
  },
  losses: { type: 'object', required: ['losses'], properties: { losses } },
  taken: {
    type: 'object',
    required: ['says', 'rev'],
    properties: { says: { type: 'string' }, rev: { type: 'integer' }, losses },
  },
  renewed: {
    type: 'object',
    required: ['says', 'devices'],
    properties: {
      says: { type: 'string' },
      devices: {
        type: 'array',
        items: {
          type: 'object',
          required: ['ref', 'ok', 'says'],
          properties: { ref: { type: 'string' }, ok: { type: 'boolean' }, says: { type: 'string' } },
        },
      },
    },
  },
  trace: {
    type: 'object',
    required: ['notes'],
    properties: {
      notes: {
        type: 'array',
        items: {
          type: 'object',
          required: ['rev', 'at', 'by', 'name', 'says'],
          properties: {
            rev: { type: 'integer' },
            at: { type: 'integer' },
            by: { type: 'string' },
            name: { type: 'string' },
            says: { type: 'string' },
          },
        },
      },
    },
  },
  batch: {
    type: 'object',
    required: ['rev', 'results'],
    properties: { rev: { type: 'integer' }, results: { type: 'array' } },
  },
  facts: {
    type: 'object',
    required: ['rev', 'records', 'aside'],
    properties: {
      rev: { type: 'integer' },
      records: { type: 'array' },
      /** Stored records that could not be read: named, and left out. */ aside: {
        type: 'array',
        items: { type: 'object', required: ['kind', 'id', 'says'] },
      },
    },
  },
  records: {
    type: 'object',
    required: ['rev', 'records'],
    properties: { rev: { type: 'integer' }, records: { type: 'array' } },
  },
  events: { type: 'object', required: ['events'], properties: { events: { type: 'array' } } },
  chain: { type: 'object', required: ['records'], properties: { records: { type: 'array' } } },
  changes: {
    type: 'object',
    required: ['rev', 'job', 'entries'],
    properties: {
      rev: { type: 'integer' },
      /** Public key of the job: another job's revisions are not these. */ job: { type: 'string' },
      entries: { type: 'array' },
    },
  },
  me: {
    type: 'object',
    required: ['state'],
    properties: {
      state: { enum: ['new', 'out', 'in'] },
      name: { type: 'string' },
      role: { type: 'string' },
      rigPage: { type: 'string' },
      asksCode: { type: 'boolean' },
    },
  },
  lan: {
    type: 'object',
    required: ['lan'],
    properties: {
      lan: {
        type: ['object', 'null'],
        properties: {
          origin: { type: 'string' },
          trust: { type: 'string' },
          fingerprint: { type: 'string' },
          addresses: { type: 'array', items: { type: 'string' } },
        },
      },
    },
  },
  print: {
    type: 'object',
    required: ['id', 'by', 'total', 'done', 'state', 'says'],
    properties: {
      id: { type: 'string' },
      by: { type: 'string' },
      total: { type: 'integer' },
      done: { type: 'integer' },
      state: { enum: ['running', 'stopped', 'ready', 'failed'] },
      says: { type: 'string' },
    },
  },
  health: {
    type: 'object',
    required: ['ready', 'notices'],
    properties: {
      ready: { type: 'boolean' },
      /** Bytes that are free on the store’s disk. */ freeB: { type: 'number' },
      /** Nothing new is written until there is room. */ full: { type: 'boolean' },
      /** The newest backup that was made by itself. */ backedUp: { type: ['object', 'null'] },
      /** How many things everybody should know of the store: they stand in `/facts`. */ notices: { type: 'integer' },
    },
  },
  planEdits: {
    type: 'object',
    required: ['undo', 'redo'],
    properties: { undo: { type: ['object', 'null'] }, redo: { type: ['object', 'null'] } },
  },
  paper: {
    type: 'object',
    required: ['id', 'file', 'says', 'tables', 'headerRow', 'columns', 'counts', 'rows', 'areas'],
    properties: { rows: { type: 'array' } },
  },
  ok: { type: 'object', required: ['says'], properties: { says: { type: 'string' } } },
  accounts: {
    type: 'array',
    items: {
      type: 'object',
      required: ['name', 'role'],
      properties: { name: { type: 'string' }, role: { type: 'string' } },
    },
  },
} as const

/** A list (door schedule, people) that lies on the server, as it was understood. Rows beyond the first `shownRows` of a state are counted only. */
export interface PaperView {
  id: string
  file: string
  says: string
  tables: { name: string; rows: number }[]
  table: number
  /** As the spreadsheet counts, from 1; 0 where no titles were found. */
  headerRow: number
  columns: { index: number; letters: string; title: string; group: string; meaning: string; sample: string }[]
  counts: Record<'new' | 'changed' | 'same' | 'bad', number>
  rows: {
    row: number
    ref: string
    name: string
    state: 'new' | 'changed' | 'same' | 'bad'
    says: string[]
    faults: { cell: string; column: string; says: string; mend: string }[]
    notes: string[]
  }[]
  /** New with a door schedule. */
  areas: { path: string; code: string }[]
  /** New with a list of people: their paths. */
  groups: string[]
  shown: number
}
export const shownRows = 400

import { Ajv, type ValidateFunction } from 'ajv'
import {
  applyChanges,
  decide,
  emptyFacts,
  type Change,
  type Facts,
  type Person,
  type Rule,
  type Schedule,
  type SpecialDay,
} from '@rauta/core'
import { recordFileSchema } from '@rauta/contracts'
import { cards } from './cards'
import { addresses, battery, place, poe, switches, volts } from './plan'
import type { Outcome, Read, ReadBytes } from './outcome'
import {
  addressesSchema,
  batterySchema,
  cardsSchema,
  placeSchema,
  poeSchema,
  switchesSchema,
  voltsSchema,
  whySchema,
} from './schemas'
import { verify } from './verify'

const usage = `rauta verify RECORD.json [--key FILE] [--head HASH] [--picture FILE ...]
                                                      checks a door's record, and pictures against it
rauta volts INPUT.json                                volts at a lock at the end of its run, or all over a supply tree
rauta battery INPUT.json                              ampere-hours for the hours asked for, and how long a battery lasts
rauta poe INPUT.json                                  network power: classes, losses, budget
rauta switches INPUT.json                             how switches stand for an address, or which address they show
rauta addresses INPUT.json                            addresses for devices, in order
rauta place INPUT.json                                controllers and terminals for all doors at once
rauta doors LIST.xlsx|LIST.csv                        reads a door schedule and tells of every row
rauta cards INPUT.json                                what a reader sent, read every way, with what stands on the card
rauta why INPUT.json                                  who passes where, when, and which rule decides
rauta backup FILE                                     the whole store into a file, looked at; also while the server runs
rauta restore FILE                                    the store as a backup has it; what was there is kept beside it
A file called - is standard input. Schemas: docs/cli.md`

const ajv = new Ajv({ strict: false, allowUnionTypes: true })
const checks = {
  record: ajv.compile(recordFileSchema),
  volts: ajv.compile(voltsSchema),
  battery: ajv.compile(batterySchema),
  poe: ajv.compile(poeSchema),
  switches: ajv.compile(switchesSchema),
  addresses: ajv.compile(addressesSchema),
  place: ajv.compile(placeSchema),
  why: ajv.compile(whySchema),
  cards: ajv.compile(cardsSchema),
}

/** Runs one command line; never throws for bad input, but says what and where. Exit code 0 good, 1 the answer is no, 2 bad input. */
export function run(
  argv: readonly string[],
  read: Read,
  readBytes: ReadBytes = (file) => Buffer.from(read(file)),
): Outcome {
  const [command, file, ...rest] = argv
  if (!command || !file) return { code: 2, out: usage }
  try {
    switch (command) {
      case 'verify':
        return verify(parse(file, read, checks.record), rest, read, readBytes)
      case 'volts':
        return volts(parse(file, read, checks.volts))
      case 'battery':
        return battery(parse(file, read, checks.battery))
      case 'poe':
        return poe(parse(file, read, checks.poe))
      case 'switches':
        return switches(parse(file, read, checks.switches))
      case 'addresses':
        return addresses(parse(file, read, checks.addresses))
      case 'place':
        return place(parse(file, read, checks.place))
      case 'cards':
        return cards(parse(file, read, checks.cards))
      case 'why':
        return why(parse(file, read, checks.why))
      default:
        return { code: 2, out: usage }
    }
  } catch (error) {
    return { code: 2, out: (error as Error).message }
  }
}

function parse<T>(file: string, read: Read, check: ValidateFunction): T {
  let value: unknown
  let text: string
  try {
    text = read(file)
  } catch {
    throw new Error(`${file} cannot be read.`)
  }
  try {
    value = JSON.parse(text)
  } catch (error) {
    throw new Error(`${file} is not JSON: ${(error as Error).message}`, { cause: error })
  }
  if (!check(value))
    throw new Error(
      `${file}: ${check.errors?.[0]?.instancePath || 'the file'} ${check.errors?.[0]?.message ?? 'is not right'}.`,
    )
  return value as T
}

interface WhyInput {
  zone: string
  at: string
  door: string
  person: Person
  rules: Rule[]
  schedules: Schedule[]
  specialDays?: SpecialDay[]
  groups?: { id: string; name: string }[]
}

function why(input: WhyInput): Outcome {
  const atMs = Date.parse(input.at)
  if (Number.isNaN(atMs))
    return { code: 2, out: `at: ${input.at} is not a moment. Write it as 2027-01-04T06:15:00+02:00.` }
  const facts = factsFrom(input)
  const door = { id: input.door, ref: input.door } as Parameters<typeof decide>[2]
  const decision = decide(facts, input.person, door, atMs)
  return { code: decision.passes ? 0 : 1, out: JSON.stringify(decision) }
}

function factsFrom(input: WhyInput): Facts {
  const put = (kind: string, record: { id: string }) => ({ kind, id: record.id, before: null, after: record }) as Change
  const job = { id: 'job', zone: input.zone }
  return applyChanges(
    emptyFacts(),
    [
      put('job', job),
      ...input.rules.map((r) => put('rule', r)),
      ...input.schedules.map((s) => put('schedule', s)),
      ...(input.specialDays ?? []).map((d) => put('specialDay', d)),
      ...(input.groups ?? []).map((g) => put('group', g)),
    ],
    1,
  )
}

import type { Change, Facts } from '@rauta/core'
import type { Command, CommandContext } from './command'
import * as access from './accessCell'
import * as behaviour from './behaviour'
import * as busDevices from './busDevices'
import * as cards from './cards'
import * as devices from './devices'
import * as doorlist from './doorlist'
import * as doors from './doors'
import * as job from './job'
import * as manyDoors from './manyDoors'
import * as ownUnit from './ownUnit'
import * as people from './people'
import * as peoplelist from './peoplelist'
import * as proving from './proving'
import * as radio from './radio'
import * as reactions from './reactions'
import * as readers from './readers'
import * as rights from './rights'
import * as sheets from './sheets'
import * as site from './site'
import * as undo from './undo'
import * as wire from './wire'

const isCommand = (value: unknown): value is Command =>
  typeof value === 'object' && value !== null && 'apply' in value && 'schema' in value

/** Every command by its name. */
export const commands: Readonly<Record<string, Command>> = Object.fromEntries(
  [
    access,
    job,
    doors,
    behaviour,
    manyDoors,
    doorlist,
    devices,
    ownUnit,
    busDevices,
    site,
    radio,
    reactions,
    readers,
    rights,
    sheets,
    undo,
    wire,
    cards,
    people,
    peoplelist,
    proving,
  ]
    .flatMap((subject) => Object.values(subject as Record<string, unknown>).filter(isCommand))
    .map((command) => [command.name, command]),
)

/** A command by a name that came from outside: none is called `constructor`. */
export const commandNamed = (name: string): Command | undefined =>
  Object.hasOwn(commands, name) ? commands[name] : undefined

/** Payloads of a subject's commands, by their names. */
type PayloadsOf<M> = {
  [K in keyof M as M[K] extends { name: infer N extends string; schema: object } ? N : never]: M[K] extends {
    apply(facts: Facts, payload: infer P, context: CommandContext): Change[]
  }
    ? P
    : never
}
/** What each command takes, by its name: `send('reading.add', …)` is held to it where it is written. */
export type CommandPayloads = PayloadsOf<typeof access> &
  PayloadsOf<typeof job> &
  PayloadsOf<typeof doors> &
  PayloadsOf<typeof behaviour> &
  PayloadsOf<typeof manyDoors> &
  PayloadsOf<typeof doorlist> &
  PayloadsOf<typeof devices> &
  PayloadsOf<typeof ownUnit> &
  PayloadsOf<typeof busDevices> &
  PayloadsOf<typeof site> &
  PayloadsOf<typeof radio> &
  PayloadsOf<typeof reactions> &
  PayloadsOf<typeof readers> &
  PayloadsOf<typeof rights> &
  PayloadsOf<typeof sheets> &
  PayloadsOf<typeof undo> &
  PayloadsOf<typeof wire> &
  PayloadsOf<typeof cards> &
  PayloadsOf<typeof people> &
  PayloadsOf<typeof peoplelist> &
  PayloadsOf<typeof proving>
export type CommandName = keyof CommandPayloads

export * from './command'
export * from './fit'
export { zoneFault } from './job'
export { type DoorsImport } from './doorlist'
export { type PeopleImport } from './peoplelist'
export { type DoorFields, type Hardware } from './doors'
export { type ManyFields } from './manyDoors'
export { acceptedElsewhere, type TakenDevice } from './behind'
export { cabinetsOf, type SitePlacement } from './site'
export { planEdits, undoAndRedo, type PlanEdit } from './undo'
export { proofChanges } from './proving'

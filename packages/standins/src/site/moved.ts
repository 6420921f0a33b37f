import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { DoorFile } from './wiring'

/** Inputs of a door's parts that hands have put on other screws, by door and part: kept, as screws keep what is under them. */
export type Moved = Record<string, Record<string, string>>

const fields = { X1: 'exit', C1: 'contact', C2: 'contact2', L1: 'bolt', B1: 'glassPole' } as const
type Field = (typeof fields)[keyof typeof fields]
const fieldOf = (part: string): Field | undefined =>
  Object.hasOwn(fields, part) ? fields[part as keyof typeof fields] : undefined

/** Parts of a door whose conductor sits on an input, with the input. */
export function inputsOf(file: DoorFile): { part: string; input: string }[] {
  const known = (Object.keys(fields) as (keyof typeof fields)[]).flatMap((part) => {
    const at = file[fields[part]]
    return at ? [{ part, input: at.input }] : []
  })
  return [...known, ...Object.entries(file.worked ?? {}).map(([part, at]) => ({ part, input: at.input }))]
}

/** The door with a part's conductor on another input of the same controller; null where the door has no such part. */
export function withInput(file: DoorFile, part: string, input: string): DoorFile | null {
  const field = fieldOf(part)
  const at = field && file[field]
  if (field && at) return { ...file, [field]: { ...at, input } }
  const worked = file.worked && Object.hasOwn(file.worked, part) ? file.worked[part] : undefined
  return worked ? { ...file, worked: { ...file.worked, [part]: { ...worked, input } } } : null
}

/** Keeps what was moved beside the devices' memories. */
export class MovedStore {
  private readonly moved: Moved
  constructor(private readonly folder: string | null) {
    this.moved = this.read()
  }
  /** A door as the hands have left it. */
  asLeft(file: DoorFile): DoorFile {
    return Object.entries(this.moved[file.id] ?? {}).reduce(
      (door, [part, input]) => withInput(door, part, input) ?? door,
      file,
    )
  }
  keep(door: string, part: string, input: string): void {
    this.moved[door] = { ...this.moved[door], [part]: input }
    if (!this.folder) return
    mkdirSync(this.folder, { recursive: true })
    writeFileSync(join(this.folder, file), JSON.stringify(this.moved))
  }
  private read(): Moved {
    if (!this.folder) return {}
    try {
      return JSON.parse(readFileSync(join(this.folder, file), 'utf8')) as Moved
    } catch {
      return {}
    }
  }
}
const file = 'moved.json'

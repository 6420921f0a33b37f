import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type {
  DigitalInput,
  DoorBehaviour,
  DoorRadio,
  LockKeeps,
  DoorReactions,
  DoorWiring,
  OnvifAccessPoint,
  OnvifAccessProfile,
  OnvifCardFormat,
  OnvifCredential,
  OnvifDoor,
  OnvifSchedule,
  OnvifSpecialDayGroup,
  OnvifUser,
} from '@rauta/protocols'

import type { BusKeys } from '../bus/master'
import type { OwnCertificate } from './certificate'

/** Everything a device keeps when its power goes. */
export interface Memory {
  users: OnvifUser[]
  hostname: string
  address: string
  prefix: number
  gateway: string
  timeServer: string
  zone: string
  daylightSaving: boolean
  clockOffMs: number
  boots: number
  /** Its own certificate, made at its first start. */
  tls?: OwnCertificate
  factoryNew: boolean
  /** Keys of the readers on its buses. */
  busKeys?: BusKeys
  /** What wireless locks last told that they keep, by their ports. */
  radioTold?: Record<string, LockKeeps>
  entities: {
    Door: Record<string, OnvifDoor>
    AccessPoint: Record<string, OnvifAccessPoint>
    Schedule: Record<string, OnvifSchedule>
    SpecialDayGroup: Record<string, OnvifSpecialDayGroup>
    AccessProfile: Record<string, OnvifAccessProfile>
    CredentialData: Record<string, OnvifCredential>
    CardFormat: Record<string, OnvifCardFormat>
    DoorWiring: Record<string, DoorWiring>
    DoorBehaviour: Record<string, DoorBehaviour>
    DoorReactions: Record<string, DoorReactions>
    DoorRadio: Record<string, DoorRadio>
    DigitalInput: Record<string, DigitalInput>
  }
}

export const noEntities = (): Memory['entities'] => ({
  Door: {},
  AccessPoint: {},
  Schedule: {},
  SpecialDayGroup: {},
  AccessProfile: {},
  CredentialData: {},
  CardFormat: {},
  DoorWiring: {},
  DoorBehaviour: {},
  DoorReactions: {},
  DoorRadio: {},
  DigitalInput: {},
})

interface Slot<T> {
  turn: number
  memory: T
}

/** Keeps each memory in two slots that take turns, as flash does: a write that is cut off spoils only the slot it went to, and the other still holds the state before it. */
export class MemoryStore<T = Memory> {
  private readonly turns = new Map<string, number>()
  private readonly waiting = new Map<string, T>()
  private readonly writing = new Map<string, T>()
  constructor(private readonly folder: string | null) {
    if (folder) mkdirSync(folder, { recursive: true })
  }
  load(serial: string): T | null {
    const slots = [0, 1]
      .map((n) => this.read(serial, n))
      .filter((s) => s !== null)
      .sort((a, b) => b.turn - a.turn)
    const newest = slots[0]
    if (!newest) return null
    this.turns.set(serial, newest.turn)
    return newest.memory
  }
  /** Returns at once; states that come while one is being written are written as one. */
  save(serial: string, memory: T): void {
    if (!this.folder) return
    this.waiting.set(serial, memory)
    if (!this.writing.has(serial)) void this.drain(serial)
  }
  /** Writes whatever waits or is being written before it returns. */
  flush(): void {
    for (const [serial, memory] of new Map([...this.writing, ...this.waiting]))
      writeFileSync(...this.next(serial, memory))
    this.waiting.clear()
  }
  private async drain(serial: string): Promise<void> {
    for (let memory = this.waiting.get(serial); memory; memory = this.waiting.get(serial)) {
      this.waiting.delete(serial)
      this.writing.set(serial, memory)
      await writeFile(...this.next(serial, memory)).catch((error: Error) =>
        console.error(`The memory of ${serial} could not be kept: ${error.message}`),
      )
    }
    this.writing.delete(serial)
  }
  private next(serial: string, memory: T): [file: string, text: string] {
    const turn = (this.turns.get(serial) ?? 0) + 1
    this.turns.set(serial, turn)
    return [this.file(serial, turn % 2), JSON.stringify({ turn, memory } satisfies Slot<T>)]
  }
  private read(serial: string, n: number): Slot<T> | null {
    if (!this.folder) return null
    try {
      return JSON.parse(readFileSync(this.file(serial, n), 'utf8')) as Slot<T>
    } catch {
      return null
    }
  }
  private file(serial: string, n: number): string {
    return join(this.folder ?? '', `${serial}.${n}.json`)
  }
}

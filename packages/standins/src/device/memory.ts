import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { DigitalInput, DoorWiring, OnvifAccessPoint, OnvifAccessProfile, OnvifCredential, OnvifDoor, OnvifSchedule, OnvifSpecialDayGroup, OnvifUser } from '@rauta/protocols'

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
  factoryNew: boolean
  entities: {
    Door: Record<string, OnvifDoor>
    AccessPoint: Record<string, OnvifAccessPoint>
    Schedule: Record<string, OnvifSchedule>
    SpecialDayGroup: Record<string, OnvifSpecialDayGroup>
    AccessProfile: Record<string, OnvifAccessProfile>
    CredentialData: Record<string, OnvifCredential>
    DoorWiring: Record<string, DoorWiring>
    DigitalInput: Record<string, DigitalInput>
  }
}

export const noEntities = (): Memory['entities'] => ({ Door: {}, AccessPoint: {}, Schedule: {}, SpecialDayGroup: {}, AccessProfile: {}, CredentialData: {}, DoorWiring: {}, DigitalInput: {} })

/** Keeps memories as files; a write is whole or not at all. */
export class MemoryStore {
  constructor(private readonly folder: string | null) {
    if (folder) mkdirSync(folder, { recursive: true })
  }
  load(serial: string): Memory | null {
    if (!this.folder) return null
    try {
      return JSON.parse(readFileSync(join(this.folder, `${serial}.json`), 'utf8')) as Memory
    } catch {
      return null
    }
  }
  save(serial: string, memory: Memory): void {
    if (!this.folder) return
    const file = join(this.folder, `${serial}.json`)
    writeFileSync(`${file}.new`, JSON.stringify(memory))
    renameSync(`${file}.new`, file)
  }
}

import { topics, type CredentialProfile } from '@rauta/protocols'
import { DoorFirmware, type Board } from '../src/device/doors'
import { noEntities, type Memory } from '../src/device/memory'
import { World } from '../src/site/world'

/** Time that is turned by hand: everything that is due runs in order. */
export class HandClock {
  at = Date.parse('2026-11-24T09:00:00Z')
  private due: { at: number; then: () => void }[] = []
  readonly factor = 1
  now(): number {
    return this.at
  }
  after(ms: number, then: () => void): () => void {
    const entry = { at: this.at + Math.max(0, ms), then }
    this.due.push(entry)
    return () => {
      this.due = this.due.filter((d) => d !== entry)
    }
  }
  sleep(): Promise<void> {
    return Promise.resolve()
  }
  turn(ms: number): void {
    const end = this.at + ms
    for (;;) {
      const next = this.due.filter((d) => d.at <= end).sort((a, b) => a.at - b.at)[0]
      if (!next) break
      this.due = this.due.filter((d) => d !== next)
      this.at = next.at
      next.then()
    }
    this.at = end
  }
}

/** A controller with one door on it: reader, contact, exit button and lock. */
export function board() {
  const clock = new HandClock()
  const world = new World(clock)
  const told: string[] = []
  const relays = new Map<string, boolean>()
  const inputs = new Map<string, boolean>([
    ['input 1', true],
    ['input 2', false],
  ])
  const entities = noEntities()
  const memory = { entities, zone: '<+02>-2' } as Memory
  entities.Door['D'] = { token: 'D', name: 'D', releaseS: 5, openS: 20, relockDelayS: 2 }
  entities.DoorWiring['D'] = {
    token: 'D',
    readers: [{ part: 'R1', function: 'entryReader', port: 'reader 1', accessPoint: 'D.R1' }],
    inputs: [
      { part: 'C1', function: 'contact', port: 'input 1' },
      { part: 'X1', function: 'exitButton', port: 'input 2' },
    ],
    outputs: [{ part: 'K1', function: 'lock', port: 'relay 1' }],
    forcedAlarm: true,
  }
  entities.DigitalInput['input 1'] = { token: 'input 1', idle: 'closed' }
  entities.DigitalInput['input 2'] = { token: 'input 2', idle: 'open' }
  const host: Board = {
    memory,
    world,
    faults: { timerFactor: 1 },
    inputs,
    emit: (topic, source, data) =>
      topic !== topics.relay &&
      told.push(
        `${((clock.at / 1000) % 86400).toFixed(0)} ${topic.split('/').at(-1)} ${data['State'] ?? data['Reason'] ?? data['LogicalState'] ?? source['AccessPointToken'] ?? ''}`.trim(),
      ),
    setRelay: (relay, on) => relays.set(relay, on),
    energised: (relay) => relays.get(relay) ?? false,
    deviceNow: () => clock.at,
  }
  const firmware = new DoorFirmware(host)
  const input = (port: string, closed: boolean) => {
    firmware.inputChanged(port, closed)
    inputs.set(port, closed)
  }
  const words = () => told.splice(0).map((t) => t.replace(/^\d+ /, ''))
  return { clock, firmware, entities, relays, input, words, host }
}

export function knownCard(
  b: ReturnType<typeof board>,
  over: { enabled?: boolean; profiles?: CredentialProfile[]; schedule?: string } = {},
): void {
  b.entities.CredentialData['c'] = {
    token: 'c',
    holder: 'Somebody',
    format: 'WIEGAND26',
    value: 'AAAAAA',
    profiles: over.profiles ?? [{ token: 'p' }],
    enabled: over.enabled ?? true,
  }
  b.entities.AccessProfile['p'] = {
    token: 'p',
    name: 'p',
    policies: [{ schedule: over.schedule ?? 's', entity: 'D.R1' }],
  }
  b.entities.Schedule['s'] = {
    token: 's',
    name: 's',
    standard:
      'BEGIN:VEVENT\r\nDTSTART:19700105T000000\r\nDTEND:19700106T000000\r\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR,SA,SU\r\nEND:VEVENT',
    specialDays: [],
  }
}

/** A reader on the way out of its door, at which the known card is let out. */
export function exitReader(b: ReturnType<typeof board>): void {
  b.entities.DoorWiring['D']?.readers.push({
    part: 'R2',
    function: 'exitReader',
    port: 'reader 2',
    accessPoint: 'D.R2',
  })
  b.entities.AccessProfile['p']?.policies.push({ schedule: 's', entity: 'D.R2' })
}

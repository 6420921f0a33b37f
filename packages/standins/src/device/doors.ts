import { topics, type DoorWiring } from '@rauta/protocols'
import { inForce, localTime } from './calendar'
import type { World } from '../site/world'
import type { Memory } from './memory'

/** What the firmware needs of the board it runs on. */
export interface Board {
  memory: Memory
  world: World
  faults: { timerFactor: number }
  inputs: ReadonlyMap<string, boolean>
  emit(topic: string, source: Record<string, string>, data: Record<string, string>): void
  setRelay(relay: string, energised: boolean): void
  deviceNow(): number
}

interface DoorState { leafOpen: boolean; unlocked: boolean; openedAfterRelease: boolean; alarm: 'Normal' | 'DoorForcedOpen' | 'DoorOpenTooLong'; relock: (() => void) | null; heldOpen: (() => void) | null }

/** Firmware of a door controller: what it does when a card is read, an input changes, a timer ends. */
export class DoorFirmware {
  private readonly states = new Map<string, DoorState>()
  constructor(private readonly unit: Board) {}

  /** After power-up every lock is at rest and every door is looked at anew. */
  restart(): void {
    for (const s of this.states.values()) { s.relock?.(); s.heldOpen?.() }
    this.states.clear()
  }

  cardRead(port: string, card: string): void {
    const { wiring, reader } = this.readerOn(port)
    if (!wiring || !reader) return
    const at = { AccessPointToken: reader.accessPoint }
    const credential = Object.values(this.unit.memory.entities.CredentialData).find((c) => c.value === card)
    if (!credential) return this.unit.emit(topics.unknownCard, at, { Card: card, Reason: 'CredentialNotFound' })
    const denied = (reason: string) => this.unit.emit(topics.denied, at, { CredentialToken: credential.token, CredentialHolderName: credential.holder, Card: card, Reason: reason })
    if (!credential.enabled) return denied('CredentialNotEnabled')
    const policies = credential.profiles.flatMap((p) => this.unit.memory.entities.AccessProfile[p]?.policies ?? []).filter((p) => p.entity === reader.accessPoint)
    if (policies.length === 0) return denied('NotPermitted')
    if (!policies.some((p) => this.scheduleOn(p.schedule))) return denied('NotPermittedAtThisTime')
    this.unit.emit(topics.granted, at, { CredentialToken: credential.token, CredentialHolderName: credential.holder, Card: card })
    this.release(wiring)
  }

  inputChanged(port: string, closed: boolean): void {
    const idle = this.unit.memory.entities.DigitalInput[port]?.idle ?? 'open'
    const active = (closed ? 'closed' : 'open') !== idle
    this.unit.emit(topics.input, { InputToken: port }, { LogicalState: active ? 'true' : 'false' })
    for (const wiring of Object.values(this.unit.memory.entities.DoorWiring)) {
      if (wiring.exitInput === port && active) {
        this.unit.emit(topics.grantedAnonymous, { AccessPointToken: wiring.readers[0]?.accessPoint ?? '' }, { DoorToken: wiring.token, External: 'RequestToExit' })
        this.release(wiring)
      }
      if (wiring.contactInput === port) this.leaf(wiring, active)
    }
  }

  state(token: string): DoorState {
    let state = this.states.get(token)
    if (!state) {
      const wiring = this.unit.memory.entities.DoorWiring[token]
      const idle = this.unit.memory.entities.DigitalInput[wiring?.contactInput ?? '']?.idle ?? 'closed'
      const closed = this.unit.inputs.get(wiring?.contactInput ?? '')
      state = { leafOpen: closed !== undefined && (closed ? 'closed' : 'open') !== idle, unlocked: false, openedAfterRelease: false, alarm: 'Normal', relock: null, heldOpen: null }
      this.states.set(token, state)
    }
    return state
  }

  release(wiring: DoorWiring): void {
    const door = this.unit.memory.entities.Door[wiring.token]
    if (!door) return
    const state = this.state(wiring.token)
    state.relock?.()
    if (!state.unlocked) {
      state.unlocked = true
      state.openedAfterRelease = false
      this.unit.setRelay(wiring.lockRelay, true)
      this.unit.emit(topics.lock, { DoorToken: wiring.token }, { State: 'Unlocked' })
    }
    state.relock = this.unit.world.after(door.releaseS * 1000, () => { if (!state.leafOpen) this.lock(wiring) })
  }

  lock(wiring: DoorWiring): void {
    const state = this.state(wiring.token)
    state.relock?.()
    state.relock = null
    if (!state.unlocked) return
    state.unlocked = false
    this.unit.setRelay(wiring.lockRelay, false)
    this.unit.emit(topics.lock, { DoorToken: wiring.token }, { State: 'Locked' })
  }

  private leaf(wiring: DoorWiring, open: boolean): void {
    const state = this.state(wiring.token)
    if (state.leafOpen === open) return
    state.leafOpen = open
    this.unit.emit(topics.leaf, { DoorToken: wiring.token }, { State: open ? 'Open' : 'Closed' })
    if (open) this.opened(wiring, state)
    else this.closed(wiring, state)
  }

  private opened(wiring: DoorWiring, state: DoorState): void {
    const door = this.unit.memory.entities.Door[wiring.token]
    if (!door) return
    if (!state.unlocked && wiring.forcedAlarm) this.alarm(wiring, state, 'DoorForcedOpen')
    state.openedAfterRelease = state.unlocked
    state.heldOpen = this.unit.world.after(door.openS * 1000 * this.unit.faults.timerFactor, () => this.alarm(wiring, state, 'DoorOpenTooLong'))
  }

  private closed(wiring: DoorWiring, state: DoorState): void {
    state.heldOpen?.()
    state.heldOpen = null
    if (state.alarm !== 'Normal') this.alarm(wiring, state, 'Normal')
    const door = this.unit.memory.entities.Door[wiring.token]
    if (state.unlocked && state.openedAfterRelease) {
      state.relock?.()
      state.relock = this.unit.world.after((door?.relockDelayS ?? 0) * 1000, () => this.lock(wiring))
    }
  }

  private alarm(wiring: DoorWiring, state: DoorState, alarm: DoorState['alarm']): void {
    state.alarm = alarm
    this.unit.emit(topics.alarm, { DoorToken: wiring.token }, { State: alarm })
  }

  private readerOn(port: string) {
    for (const wiring of Object.values(this.unit.memory.entities.DoorWiring)) {
      const reader = wiring.readers.find((r) => r.port === port)
      if (reader) return { wiring, reader }
    }
    return { wiring: null, reader: null }
  }

  private scheduleOn(token: string): boolean {
    const { Schedule, SpecialDayGroup } = this.unit.memory.entities
    const schedule = Schedule[token]
    if (!schedule) return false
    const specials = new Map(schedule.specialDays.flatMap((d) => {
      const dates = [...(SpecialDayGroup[d.group]?.days ?? '').matchAll(/DTSTART[^:]*:(\d{4})(\d\d)(\d\d)/g)].map((m) => `${m[1]}-${m[2]}-${m[3]}`)
      return dates.map((date): [string, { from: string; until: string }[]] => [date, d.ranges])
    }))
    return inForce(schedule.standard, specials, localTime(this.unit.deviceNow(), this.unit.memory.zone))
  }
}

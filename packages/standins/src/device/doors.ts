import { bitsText, cardData, cardSent, sentFormats, usualFormat, type Bits, type CardFormat } from '@rauta/core'
import {
  codeOnly,
  formatOfType,
  topics,
  typeOfFormat,
  type CredentialProfile,
  type DoorBehaviour,
  type DoorWiring,
  type OnvifCredential,
  type OnvifDoor,
  type RehearsedState,
  type WiredInput,
  type WiredOutput,
  type WiredReader,
} from '@rauta/protocols'
import { daysCover, inForce, localTime } from './calendar'
import { Deciders } from './deciders'
import { Pairs, Whereabouts, type Reading } from './entering'
import { bitsInKey, keyOfBits, Keypads } from './keypads'
import { Reactions } from './reactions'
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
  energised(relay: string): boolean
  deviceNow(): number
}

interface DoorState {
  leafOpen: boolean
  unlocked: boolean
  openedAfterRelease: boolean
  /** Whether it was released for somebody who needs longer. */
  extended: boolean
  alarm: 'Normal' | 'DoorForcedOpen' | 'DoorOpenTooLong'
  relock: (() => void) | null
  heldOpen: (() => void) | null
  preAlarm: (() => void) | null
  /** Ends the delay before unlocking; null while none runs. */
  delay: (() => void) | null
  /** Ends the opener's waiting; null while it does not wait. */
  opener: (() => void) | null
  /** How it was told to stand, until it is told otherwise. */
  mode: 'Locked' | 'LockedOpen' | 'LockedDown'
  /** What its own hours make of it, where nobody told it otherwise. */
  hours: Hours
  /** Somebody with a right came in since these free hours began. */
  firstCame: boolean
  /** It stands so for a test; null while it does not. */
  rehearsed: { state: RehearsedState; end: () => void } | null
  /** Its delay is over, and it waits for the lock sensing to say unlocked. */
  openerDue: boolean
}

type Hours = 'free' | 'controlled' | 'barred'
const toldHours = { free: 'Unlocked', controlled: 'Locked', barred: 'Blocked' } as const

const isContact = (i: WiredInput) => i.function === 'contact' || i.function === 'secondContact'
const isLock = (o: WiredOutput) => o.function === 'lock' || o.function === 'secondLock'
const isOpener = (o: WiredOutput) => o.function === 'opener'

/** Firmware of a door controller: what it does when a card is read, an input changes, a timer ends. */
export class DoorFirmware {
  private readonly states = new Map<string, DoorState>()
  /** The input that is changing now; the board keeps its new state only afterwards. */
  private changing: { port: string; closed: boolean } | null = null
  private readonly whereabouts: Whereabouts
  private readonly pairs = new Pairs()
  private readonly keypads: Keypads
  private nextMinute: (() => void) | null = null
  private readonly reactions: Reactions
  private readonly deciders: Deciders
  constructor(private readonly unit: Board) {
    this.whereabouts = new Whereabouts(() => unit.deviceNow())
    this.keypads = new Keypads((ms, then) => unit.world.after(ms, then))
    this.deciders = new Deciders(
      (ms, then) => unit.world.after(ms, then),
      (door, away) => this.deciderChanged(door, away),
    )
    this.reactions = new Reactions({
      entities: () => unit.memory.entities,
      now: () => unit.deviceNow(),
      after: (ms, then) => unit.world.after(ms, then),
      scheduleOn: (token) => this.scheduleOn(token),
      active: (port) => this.active(port),
      drive: (output, on) => this.drive(output, on),
      release: (wiring) => this.release(wiring),
    })
  }

  /** After power-up every lock is at rest and every door is looked at anew. */
  restart(): void {
    for (const s of this.states.values()) {
      s.relock?.()
      s.heldOpen?.()
      s.opener?.()
      s.preAlarm?.()
      s.delay?.()
      s.rehearsed?.end()
    }
    this.states.clear()
    this.pairs.clear()
    this.keypads.clear()
    this.deciders.clear()
    this.reactions.clear()
    this.whereabouts.clear()
    this.nextMinute?.()
    this.nextMinute = null
  }

  /** What a reader sent: read by the format that its port is set to, or by none. @param address of the reader on a bus */
  cardRead(port: string, bits: Bits, address?: number): void {
    const { wiring, reader } = this.readerOn(port, address)
    if (!wiring || !reader) return
    if (bits.length === bitsInKey) return this.typed(port, keyOfBits(bits) ?? '', address)
    const at = { AccessPointToken: reader.accessPoint }
    const card = cardSent(this.formatNamed(reader.format), reader.order, bits)
    const read = { Card: card ? cardData(card) : '', Bits: bitsText(bits) }
    const credential = card ? this.credentialOf(card.format ?? usualFormat, read.Card) : undefined
    if (!credential) {
      this.unit.emit(topics.unknownCard, at, { ...read, Reason: 'CredentialNotFound' })
      return this.refusedAt(wiring, reader)
    }
    this.known(wiring, reader, credential, read)
  }

  /** What a wireless lock did while it was out of radio: told now, and of nobody that this side knows. */
  doneAlone(port: string, bits: Bits, lets: boolean, agoMs: number): void {
    const { wiring, reader } = this.readerOn(port)
    if (!wiring || !reader) return
    const card = cardSent(this.formatNamed(reader.format), reader.order, bits)
    const read = { Card: card ? cardData(card) : '', Bits: bitsText(bits), Ago: String(Math.round(agoMs / 1000)) }
    const at = { AccessPointToken: reader.accessPoint }
    if (lets) this.unit.emit(topics.standby, at, read)
    else this.unit.emit(topics.unknownCard, at, { ...read, Reason: 'NoRadio' })
  }

  /** Keys that were pressed at a reader, one after the other; only whoever comes in is asked for a code. */
  typed(port: string, keys: string, address?: number): void {
    const { wiring, reader } = this.readerOn(port, address)
    if (!wiring || !reader || reader.function === 'exitReader') return
    for (const key of keys) {
      const code = this.keypads.press(reader.accessPoint, key)
      if (code !== null) this.codeAlone(wiring, reader, code)
    }
  }

  private codeAlone(wiring: DoorWiring, reader: WiredReader, code: string): void {
    const asked = this.behaviourOf(wiring).code
    if (asked !== 'InsteadOfCard' && asked !== 'Alone') return
    const credential = Object.values(this.unit.memory.entities.CredentialData).find(
      (c) => c.format === codeOnly && (c.code === code || c.duress === code),
    )
    if (!credential) {
      const at = { AccessPointToken: reader.accessPoint }
      this.unit.emit(topics.unknownCode, at, { By: 'PIN', Reason: 'CodeNotFound' })
      return this.refusedAt(wiring, reader)
    }
    this.known(wiring, reader, credential, { By: 'PIN' }, code)
  }

  /** Somebody is known by a card or by a code alone. @param code that was entered, where it came alone */
  private known(
    wiring: DoorWiring,
    reader: WiredReader,
    credential: OnvifCredential,
    read: Record<string, string>,
    code?: string,
  ): void {
    const at = { AccessPointToken: reader.accessPoint }
    const denied = (reason: string, more: Record<string, string> = {}) => {
      this.unit.emit(topics.denied, at, {
        CredentialToken: credential.token,
        CredentialHolderName: credential.holder,
        ...read,
        ...more,
        Reason: reason,
      })
      this.refusedAt(wiring, reader)
    }
    if (!credential.enabled) return denied('CredentialNotEnabled', { StateReason: credential.reason ?? '' })
    const now = this.unit.deviceNow()
    if (credential.validFrom && now < Date.parse(credential.validFrom)) return denied('CredentialNotActive')
    if (credential.validTo && now >= Date.parse(credential.validTo)) return denied('CredentialExpired')
    if (this.state(wiring.token).mode === 'LockedDown') return denied('DoorLockedDown')
    const entering = reader.function !== 'exitReader'
    if (entering && this.hoursOf(wiring) === 'barred') return denied('DoorBarred')
    const counts = (p: CredentialProfile) =>
      (!p.validFrom || now >= Date.parse(p.validFrom)) && (!p.validTo || now < Date.parse(p.validTo))
    const data = { CredentialToken: credential.token, CredentialHolderName: credential.holder, ...read }
    const reading: Reading = { credential, at, data }
    const byOwnRules = () => {
      const policies = credential.profiles
        .filter(counts)
        .flatMap((p) => this.unit.memory.entities.AccessProfile[p.token]?.policies ?? [])
        .filter((p) => p.entity === reader.accessPoint)
      if (policies.length === 0) return denied('NotPermitted')
      if (!policies.some((p) => this.scheduleOn(p.schedule))) return denied('NotPermittedAtThisTime')
      if (entering) this.mayEnter(wiring, reader, reading, denied, code)
      else this.grant(wiring, reader, [reading])
    }
    // Whoever leaves needs nobody’s word.
    if (!entering || this.behaviourOf(wiring).decidedBy !== 'Server') return byOwnRules()
    const alone = () => (this.behaviourOf(wiring).without === 'Shut' ? denied('NoDecision') : byOwnRules())
    if (this.deciders.isAway(wiring.token)) return alone()
    this.deciders.ask(reader.accessPoint, wiring.token, credential.token, (decision) => {
      if (decision === 'unanswered') {
        this.unit.emit(topics.requestTimeout, at, data)
        alone()
      } else if (decision.granted) this.mayEnter(wiring, reader, reading, denied, code)
      else denied(decision.reason || 'Other', { External: 'true' })
    })
    this.unit.emit(topics.request, at, data)
  }

  /** Somebody has the right to come in now; what else the door asks of them comes next. @param code that came alone */
  private mayEnter(
    wiring: DoorWiring,
    reader: WiredReader,
    reading: Reading,
    denied: (reason: string) => void,
    code: string | undefined,
  ): void {
    const { credential, at, data } = reading
    const behaviour = this.behaviourOf(wiring)
    const objection = this.whereabouts.objection(wiring.token, behaviour, this.pointOf(reader), credential.token)
    const soft = objection === 'AntipassbackViolation' && behaviour.passback === 'Soft'
    if (objection && !soft) return denied(objection)
    if (soft) this.unit.emit(topics.passback, at, data)
    const enter = (typed?: string) => {
      if (typed !== undefined && typed === credential.duress) {
        this.unit.emit(topics.duress, at, data)
        this.reactions.happened(wiring, 'Duress', { credential })
      }
      this.enter(wiring, reader, reading, denied)
    }
    if (code !== undefined || behaviour.code === undefined || behaviour.code === 'InsteadOfCard') return enter(code)
    if (behaviour.code !== 'WithCard' || credential.code === undefined) return denied('CodeMissing')
    this.unit.emit(topics.codeWanted, at, data)
    this.keypads.await(reader.accessPoint, (typed) => {
      if (typed === null) denied('CodeMissing')
      else if (typed !== credential.code && typed !== credential.duress) denied('InvalidPIN')
      else enter(typed)
    })
  }

  /** @returns whether anybody waited for that there */
  decided(point: string, credential: string, decision: { granted: boolean; reason: string }): boolean {
    return this.deciders.answer(point, credential, decision)
  }

  /** @returns whether the door asks anybody */
  deciderHeard(door: string): boolean {
    return this.deciders.heard(door)
  }

  private deciderChanged(door: string, away: boolean): void {
    this.unit.emit(topics.decider, { DoorToken: door }, { State: away ? 'Away' : 'Back' })
    const wiring = this.unit.memory.entities.DoorWiring[door]
    if (wiring) this.keepHours(wiring)
  }

  /** Whether it stands open because nobody is there to decide. */
  private freeForLack(wiring: DoorWiring): boolean {
    return this.behaviourOf(wiring).without === 'Open' && this.deciders.isAway(wiring.token)
  }

  /** Lets somebody in who has shown all that is asked of one person: alone, or once the second person has come. */
  private enter(wiring: DoorWiring, reader: WiredReader, reading: Reading, denied: (reason: string) => void): void {
    const { pairWithinS } = this.behaviourOf(wiring)
    if (pairWithinS === undefined) return this.grant(wiring, reader, [reading])
    const first = this.pairs.meet(
      wiring.token,
      reading,
      (then) => this.unit.world.after(pairWithinS * 1000, then),
      () => denied('SecondPersonMissing'),
    )
    if (first) this.grant(wiring, reader, [first, reading])
    else this.unit.emit(topics.secondWanted, reading.at, reading.data)
  }

  /** Only whoever wants to come in is refused in the sense of a reaction. */
  private refusedAt(wiring: DoorWiring, reader: WiredReader): void {
    if (reader.function !== 'exitReader') this.reactions.happened(wiring, 'Refused')
  }

  private behaviourOf(wiring: DoorWiring): DoorBehaviour {
    return this.unit.memory.entities.DoorBehaviour[wiring.token] ?? { token: wiring.token }
  }
  private pointOf(reader: WiredReader) {
    return this.unit.memory.entities.AccessPoint[reader.accessPoint]
  }

  /** Lets in or out whoever was read, one or two together. */
  private grant(wiring: DoorWiring, reader: WiredReader, readings: readonly Reading[]): void {
    const entering = reader.function !== 'exitReader'
    for (const { at, data, credential } of readings) {
      this.unit.emit(topics.granted, at, data)
      this.whereabouts.passed(wiring.token, this.pointOf(reader), credential.token, entering)
      if (entering) this.reactions.happened(wiring, 'Granted', { credential })
    }
    const extended = readings.some((r) => r.credential.extendedGrantTime === true)
    const seconds = extended ? this.unit.memory.entities.Door[wiring.token]?.extendedReleaseS : undefined
    const state = this.state(wiring.token)
    const delayS = entering ? (this.behaviourOf(wiring).unlockAfterS ?? 0) : 0
    const go = () => {
      state.delay = null
      this.release(wiring, seconds, extended)
      if (entering) this.firstCame(wiring)
    }
    state.delay?.()
    state.delay = null
    if (delayS > 0) state.delay = this.unit.world.after(delayS * 1000, go)
    else go()
  }

  /** Where these were last is forgotten. */
  forget(credential: string): void {
    this.whereabouts.forget(credential)
  }

  private firstCame(wiring: DoorWiring): void {
    const state = this.state(wiring.token)
    if (this.wantedHours(wiring) !== 'first') return
    state.firstCame = true
    this.keepHours(wiring)
  }

  /** What its schedules, or a test, want of a door now; `first` is free once somebody with a right has come. */
  private wantedHours(wiring: DoorWiring): Hours | 'first' {
    if (this.freeForLack(wiring)) return 'free'
    const { rehearsed } = this.state(wiring.token)
    if (rehearsed)
      return ({ Free: 'free', Controlled: 'controlled', Barred: 'barred', FreeAfterFirst: 'first' } as const)[
        rehearsed.state
      ]
    const { freeOn, barredOn, firstPerson } = this.behaviourOf(wiring)
    if (barredOn !== undefined && this.scheduleOn(barredOn)) return 'barred'
    if (freeOn === undefined || !this.scheduleOn(freeOn)) return 'controlled'
    return firstPerson ? 'first' : 'free'
  }

  /** How a door stands by its own hours at this moment. */
  hoursOf(wiring: DoorWiring): Hours {
    const wanted = this.wantedHours(wiring)
    if (wanted !== 'first') return wanted
    return this.state(wiring.token).firstCame ? 'free' : 'controlled'
  }

  /** Brings a door to what its own hours want now. */
  private keepHours(wiring: DoorWiring): void {
    const state = this.state(wiring.token)
    if (this.wantedHours(wiring) !== 'first') state.firstCame = false
    const hours = this.hoursOf(wiring)
    if (hours === state.hours) return
    state.hours = hours
    if (state.mode !== 'Locked') return
    const why: Record<string, string> = this.freeForLack(wiring) ? { Reason: 'DeciderAway' } : {}
    this.unit.emit(topics.mode, { DoorToken: wiring.token }, { State: toldHours[hours], ...why })
    if (hours === 'free') this.release(wiring)
    else if (!state.leafOpen) this.lock(wiring)
    else this.leftOpen(wiring, state)
  }

  /** Its free hours ended while somebody kept it open: it locks once it is shut, and stands open too long from now on. */
  private leftOpen(wiring: DoorWiring, state: DoorState): void {
    state.openedAfterRelease = true
    const door = this.unit.memory.entities.Door[wiring.token]
    if (door) this.watchOpen(wiring, state, door)
  }

  /** Looks at the hours of every door, and again at each full minute while any door has hours. */
  lookAtHours(): void {
    this.nextMinute?.()
    this.nextMinute = null
    const { DoorBehaviour, DoorWiring } = this.unit.memory.entities
    this.deciders.follow(Object.values(DoorBehaviour))
    const timed = Object.values(DoorBehaviour).some((b) => b.freeOn !== undefined || b.barredOn !== undefined)
    for (const wiring of Object.values(DoorWiring)) if (timed || this.states.has(wiring.token)) this.keepHours(wiring)
    if (timed)
      this.nextMinute = this.unit.world.after(60_000 - (this.unit.deviceNow() % 60_000), () => this.lookAtHours())
  }

  /** Makes a door stand for a test as its schedules would have it, for so long at most; null ends that. */
  rehearse(wiring: DoorWiring, wanted: RehearsedState | null, seconds: number): void {
    const state = this.state(wiring.token)
    state.rehearsed?.end()
    state.firstCame = false
    state.rehearsed = wanted && {
      state: wanted,
      end: this.unit.world.after(seconds * 1000, () => this.rehearse(wiring, null, 0)),
    }
    this.keepHours(wiring)
  }

  /** Whether it stays unlocked whatever else happens. */
  private staysOpen(state: DoorState): boolean {
    return state.mode === 'LockedOpen' || (state.mode === 'Locked' && state.hours === 'free')
  }

  /** What is told of how it stands. */
  modeOf(token: string): string {
    const state = this.state(token)
    return state.mode === 'Locked' ? toldHours[state.hours] : state.mode
  }

  /** One that it was told comes before one that it was made with. */
  private formatNamed(id: string = usualFormat): CardFormat | undefined {
    const told = this.unit.memory.entities.CardFormat[id]
    return told ? { ...told, id, keeps: formatOfType(told.keeps) } : sentFormats.find((f) => f.id === id)
  }

  private credentialOf(format: string, card: string) {
    return Object.values(this.unit.memory.entities.CredentialData).find(
      (c) => c.value === card && c.format === typeOfFormat(format),
    )
  }

  inputChanged(port: string, closed: boolean): void {
    const outer = this.changing
    this.changing = { port, closed }
    this.unit.emit(topics.input, { InputToken: port }, { LogicalState: this.active(port) ? 'true' : 'false' })
    for (const wiring of Object.values(this.unit.memory.entities.DoorWiring)) {
      for (const input of wiring.inputs) if (input.port === port) this.act(wiring, input)
    }
    this.changing = outer
  }

  /** What an input does for its door; a break glass, a tamper and a spare only tell. */
  private act(wiring: DoorWiring, input: WiredInput): void {
    const active = this.active(input.port)
    if (active) this.reactions.happened(wiring, 'InputActive', { input: input.part })
    else {
      this.reactions.over(wiring, ['InputActive'], input.part)
      this.reactions.happened(wiring, 'InputIdle', { input: input.part })
    }
    if (isContact(input)) return this.leaf(wiring, this.anyActive(wiring, isContact))
    if (input.function === 'lockSensing') return this.lockSensed(wiring)
    if (!active) return
    const leaving = input.function === 'exitButton' || input.function === 'exitSensor'
    if (!leaving && input.function !== 'deskButton') return
    this.unit.emit(
      topics.grantedAnonymous,
      { AccessPointToken: wiring.readers[0]?.accessPoint ?? '' },
      { DoorToken: wiring.token, External: leaving ? 'RequestToExit' : 'RequestToEnter', InputToken: input.port },
    )
    this.release(wiring, input.releaseS)
    this.reactions.happened(wiring, leaving ? 'ExitRequested' : 'DeskRelease')
  }

  /** @param before the input that is changing now counts as it was */
  private active(port: string, before = false): boolean {
    const closed = this.changing?.port === port && !before ? this.changing.closed : this.unit.inputs.get(port)
    return (
      closed !== undefined &&
      (closed ? 'closed' : 'open') !== (this.unit.memory.entities.DigitalInput[port]?.idle ?? 'open')
    )
  }
  private anyActive(wiring: DoorWiring, which: (input: WiredInput) => boolean, before = false): boolean {
    return wiring.inputs.some((i) => which(i) && this.active(i.port, before))
  }

  state(token: string): DoorState {
    let state = this.states.get(token)
    if (!state) {
      const wiring = this.unit.memory.entities.DoorWiring[token]
      state = {
        leafOpen: !!wiring && this.anyActive(wiring, isContact, true),
        unlocked: false,
        openedAfterRelease: false,
        extended: false,
        alarm: 'Normal',
        relock: null,
        heldOpen: null,
        preAlarm: null,
        delay: null,
        hours: 'controlled',
        firstCame: false,
        rehearsed: null,
        opener: null,
        openerDue: false,
        mode: 'Locked',
      }
      this.states.set(token, state)
    }
    return state
  }

  /**
   * @param seconds for which it is released; the door's own time where it is not said
   * @param extended whether it may stand open for the longer of its times
   */
  release(wiring: DoorWiring, seconds?: number, extended = false): void {
    const door = this.unit.memory.entities.Door[wiring.token]
    if (!door) return
    const state = this.state(wiring.token)
    state.relock?.()
    state.extended = extended
    if (!state.unlocked) {
      state.unlocked = true
      state.openedAfterRelease = false
      this.unit.emit(topics.lock, { DoorToken: wiring.token }, { State: 'Unlocked' })
      for (const output of wiring.outputs.filter(isLock)) this.drive(output, true)
      for (const output of wiring.outputs.filter(isOpener)) this.startOpener(wiring, state, output)
    }
    state.relock = this.unit.world.after((seconds ?? door.releaseS) * 1000, () => {
      // The opener lets the leaf fall shut before the lock is asked to hold it.
      for (const output of wiring.outputs.filter(isOpener)) this.drive(output, false)
      if (!state.leafOpen && !this.staysOpen(state)) this.lock(wiring)
    })
  }

  /** Holds the door open or locked until it is let go of; an exit device lets out even where it is locked. */
  stand(wiring: DoorWiring, mode: DoorState['mode']): void {
    const state = this.state(wiring.token)
    if (state.mode === mode) return
    state.mode = mode
    state.openedAfterRelease = true
    this.unit.emit(topics.mode, { DoorToken: wiring.token }, { State: this.modeOf(wiring.token) })
    if (this.staysOpen(state)) this.release(wiring)
    else if (!state.leafOpen) this.lock(wiring)
  }

  lock(wiring: DoorWiring): void {
    const state = this.state(wiring.token)
    if (this.staysOpen(state)) return
    state.relock?.()
    state.relock = null
    state.opener?.()
    state.opener = null
    state.openerDue = false
    if (!state.unlocked) return
    state.unlocked = false
    state.extended = false
    this.unit.emit(topics.lock, { DoorToken: wiring.token }, { State: 'Locked' })
    for (const output of wiring.outputs) if (isLock(output) || isOpener(output)) this.drive(output, false)
  }

  private drive(output: WiredOutput, on: boolean): void {
    if (!on && !this.unit.energised(output.port)) return
    this.unit.setRelay(output.port, on)
    this.unit.emit(topics.relay, { RelayToken: output.port }, { LogicalState: on ? 'active' : 'inactive' })
  }

  /** An opener never works against a lock: it waits its time after the lock was told, and for the lock sensing where there is one. */
  private startOpener(wiring: DoorWiring, state: DoorState, opener: WiredOutput): void {
    state.opener = this.unit.world.after((opener.afterS ?? 0) * 1000, () => {
      state.openerDue = true
      this.lockSensed(wiring)
    })
  }
  private lockSensed(wiring: DoorWiring): void {
    const state = this.state(wiring.token)
    const sensed = wiring.inputs.filter((i) => i.function === 'lockSensing')
    if (!state.unlocked || !state.openerDue || sensed.some((i) => !this.active(i.port))) return
    state.openerDue = false
    for (const output of wiring.outputs.filter(isOpener)) this.drive(output, true)
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
    const broken = this.anyActive(wiring, (i) => i.function === 'glassPole')
    if (!state.unlocked && wiring.forcedAlarm && !broken) this.alarm(wiring, state, 'DoorForcedOpen')
    state.openedAfterRelease = state.unlocked
    if (this.staysOpen(state)) return
    this.watchOpen(wiring, state, door)
    if (state.unlocked && this.behaviourOf(wiring).relockAt === 'Opening') {
      state.relock?.()
      state.relock = this.unit.world.after(door.relockDelayS * 1000, () => this.lock(wiring))
    }
  }

  /** From now on the leaf may be open for the door's time. */
  private watchOpen(wiring: DoorWiring, state: DoorState, door: OnvifDoor): void {
    const openS = (state.extended ? door.extendedOpenS : undefined) ?? door.openS
    const after = (seconds: number, then: () => void) =>
      this.unit.world.after(seconds * 1000 * this.unit.faults.timerFactor, then)
    state.heldOpen?.()
    state.preAlarm?.()
    state.heldOpen = after(openS, () => this.alarm(wiring, state, 'DoorOpenTooLong'))
    state.preAlarm =
      door.preAlarmS === undefined
        ? null
        : after(Math.max(0, openS - door.preAlarmS), () => {
            this.unit.emit(topics.preAlarm, { DoorToken: wiring.token }, {})
            this.reactions.happened(wiring, 'PreAlarm')
          })
  }

  private closed(wiring: DoorWiring, state: DoorState): void {
    state.heldOpen?.()
    state.heldOpen = null
    state.preAlarm?.()
    state.preAlarm = null
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
    this.reactions.over(wiring, ['ForcedOpen', 'OpenTooLong'])
    if (alarm !== 'Normal') this.reactions.happened(wiring, alarm === 'DoorForcedOpen' ? 'ForcedOpen' : 'OpenTooLong')
  }

  /** Addresses on a bus that a door is wired to. */
  addressesOn(port: string): number[] {
    return Object.values(this.unit.memory.entities.DoorWiring).flatMap((wiring) =>
      wiring.readers.flatMap((r) => (r.port === port && r.address !== undefined ? [r.address] : [])),
    )
  }

  private readerOn(port: string, address?: number) {
    for (const wiring of Object.values(this.unit.memory.entities.DoorWiring)) {
      const reader = wiring.readers.find((r) => r.port === port && r.address === address)
      if (reader) return { wiring, reader }
    }
    return { wiring: null, reader: null }
  }

  private scheduleOn(token: string): boolean {
    const { Schedule, SpecialDayGroup } = this.unit.memory.entities
    const schedule = Schedule[token]
    if (!schedule) return false
    const specials = (date: string) =>
      schedule.specialDays.find((d) => daysCover(SpecialDayGroup[d.group]?.days ?? '', date))?.ranges
    return inForce(schedule.standard, specials, localTime(this.unit.deviceNow(), this.unit.memory.zone))
  }
}

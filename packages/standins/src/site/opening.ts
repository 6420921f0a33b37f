import { Harms, type Harm } from './harms'
import { AlarmPanel } from './panel'
import type { DoorFile, LockFile } from './wiring'

/** What acts on the electrics of a door from outside: relay contacts and whether the cabinet feeds it. */
export interface Feed {
  energised(serial: string, relay: string): boolean
  powered(serial: string): boolean
}
export interface OpeningHooks {
  input(serial: string, input: string, closed: boolean): void
  after(ms: number, then: () => void): () => void
}

/** How long an opener takes to move a leaf, ms. */
const openerMs = 1500

/** Physics of one door: leaves, locks that need volts, contacts, an opener, and what hands do to them. */
export class Opening {
  leafOpen = false
  leaf2Open = false
  glassBroken = false
  feedPulled = false
  buttonPressed = false
  readonly harms = new Harms()
  private readonly worked = new Set<string>()
  private moving: (() => void) | null = null
  /** Its own switch: off, it moves nothing whatever its contact says. */
  openerOff = false
  private openerDriven = false
  private wired: DoorFile
  private readonly panel: AlarmPanel
  constructor(
    file: DoorFile,
    private readonly feed: Feed,
    private readonly hooks: OpeningHooks,
  ) {
    this.wired = file
    this.panel = new AlarmPanel(
      (ms, then) => hooks.after(ms, then),
      () => this.tell(),
    )
  }

  get panelSet(): boolean {
    return this.panel.isSet
  }
  /** Somebody sets or unsets the alarm panel at its own keypad. */
  setPanel(set: boolean): void {
    this.panel.stand(set)
  }

  get file(): DoorFile {
    return this.wired
  }
  /** Something goes wrong with a part or its cable, or is mended (null). @throws where it cannot */
  harm(part: string, harm: Harm | null): void {
    this.harms.set(this.wired, part, harm)
    this.tell()
  }
  /** Puts the door's conductors on other screws; what is left hanging falls open. */
  rewire(file: DoorFile): void {
    for (const at of this.inputs()) this.hooks.input(at.serial, at.input, false)
    this.wired = file
    this.tell()
  }

  /** Volts at the lock now. */
  volts(lock: LockFile = this.file.lock): number {
    return this.fed(lock) ? (lock.feedV * lock.coilOhm) / (lock.coilOhm + lock.loopOhm) : 0
  }

  private fed(lock: LockFile): boolean {
    const harm = this.harms.of(this.partOf(lock))
    if (!this.feed.powered(lock.serial) || this.feedPulled || harm === 'loose') return false
    if (harm === 'bridged') return true
    const broken = this.glassBroken && this.harms.of('B1') !== 'stuck'
    const driven = this.feed.energised(lock.serial, lock.relay) !== (harm === 'otherContact')
    return !broken && (lock.fail === 'safe' ? !driven : driven)
  }

  /** Whether a lock keeps its leaf shut. */
  holds(lock: LockFile = this.file.lock): boolean {
    const enough = this.volts(lock) >= lock.leastV
    return lock.fail === 'safe' ? enough : !enough
  }

  private partOf(lock: LockFile): string {
    return lock === this.file.lock2 ? 'K2' : 'K1'
  }
  /** Whether a leaf stays shut, its lock fed or not. */
  private keeps(lock: LockFile = this.file.lock): boolean {
    return this.holds(lock) || this.harms.of(this.partOf(lock)) === 'stuck'
  }

  /** Pushes the leaf; true where it opens. */
  push(): boolean {
    if (!this.leafOpen && this.keeps()) return false
    this.setLeaf(true)
    return true
  }
  push2(): boolean {
    const { lock2 } = this.file
    if (!lock2 || (!this.leaf2Open && this.keeps(lock2))) return false
    this.leaf2Open = true
    this.tell()
    return true
  }

  /** A handle or key moves the bolt of a strike; a magnet gives way to neither. */
  mechanical(): boolean {
    if (this.file.lock.principle === 'magnetic') return this.push()
    this.setLeaf(true)
    return true
  }

  close(): void {
    this.setLeaf(false)
  }
  close2(): void {
    this.leaf2Open = false
    this.tell()
  }

  press(down: boolean): void {
    this.buttonPressed = down
    this.tell()
  }
  setGlass(broken: boolean): void {
    this.glassBroken = broken && this.file.breakGlass
    this.tell()
  }
  setFeed(pulled: boolean): void {
    this.feedPulled = pulled
    this.tell()
  }
  /** Works a part, or lets it go. @returns whether there is such a part */
  work(part: string, on: boolean): boolean {
    if (!this.file.worked?.[part]) return false
    if (on) this.worked.add(part)
    else this.worked.delete(part)
    this.tell()
    return true
  }
  isWorked(part: string): boolean {
    return this.worked.has(part)
  }

  /** A relay of a controller moved: locks and the opener follow. */
  relayMoved(serial: string): void {
    const { opener, panel } = this.file
    if (panel) this.panel.lines(panel, serial, (relay) => this.feed.energised(serial, relay))
    if (opener?.serial === serial) this.openerMoved(this.feed.energised(serial, opener.relay))
    this.tell()
  }
  private openerMoved(driven: boolean): void {
    if (driven === this.openerDriven) return
    this.openerDriven = driven
    this.moving?.()
    this.moving = this.hooks.after(openerMs, () => {
      if (!this.openerOff && (!driven || !this.keeps())) this.setLeaf(driven)
    })
  }

  private setLeaf(open: boolean): void {
    if (this.leafOpen === open) return
    this.leafOpen = open
    this.tell()
  }

  /** What every input sees now; a controller takes notice only of what changed. Locks are told before leaves: a bolt moves first. */
  tell(): void {
    for (const { serial, input, closed } of this.inputs()) this.hooks.input(serial, input, closed)
  }

  private inputs(): { serial: string; input: string; closed: boolean }[] {
    const { file } = this
    const seen: { serial: string; input: string; closed: boolean }[] = []
    const say = (at: { serial: string; input: string } | undefined, closed: boolean, part = '') => {
      if (at) seen.push({ serial: at.serial, input: at.input, closed: this.harms.closed(part, closed) })
    }
    say(file.glassPole, !this.glassBroken)
    say(file.lock.sensing, this.holds() && !this.leafOpen)
    if (file.lock2) say(file.lock2.sensing, this.holds(file.lock2) && !this.leaf2Open)
    say(file.bolt, this.holds() && !this.leafOpen)
    say(file.contact, this.leafOpen === (file.contact?.reversed ?? false), 'C1')
    say(file.contact2, !this.leaf2Open, 'C2')
    say(file.exit, this.buttonPressed, 'X1')
    say(file.panel?.state, this.panel.isSet)
    for (const [part, at] of Object.entries(file.worked ?? {}))
      say(at, (at.rests === 'closed') !== this.worked.has(part), part)
    return seen
  }
}

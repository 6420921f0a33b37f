import type { DoorFile } from './wiring'

/** What acts on the electrics of a door from outside: relay contacts and whether the cabinet feeds it. */
export interface Feed { energised(serial: string, relay: string): boolean; powered(serial: string): boolean }
export interface OpeningHooks { input(serial: string, input: string, closed: boolean): void }

/** Physics of one door: a leaf, a lock that needs volts, a contact, and what hands do to them. */
export class Opening {
  leafOpen = false
  glassBroken = false
  feedPulled = false
  buttonPressed = false
  constructor(readonly file: DoorFile, private readonly feed: Feed, private readonly hooks: OpeningHooks) {}

  /** Volts at the lock now. */
  volts(): number {
    const { lock } = this.file
    const driven = this.feed.energised(lock.serial, lock.relay)
    const fed = this.feed.powered(lock.serial) && !this.glassBroken && !this.feedPulled && (lock.fail === 'safe' ? !driven : driven)
    return fed ? (lock.feedV * lock.coilOhm) / (lock.coilOhm + lock.loopOhm) : 0
  }

  /** Whether the lock keeps the leaf shut. */
  holds(): boolean {
    const enough = this.volts() >= this.file.lock.leastV
    return this.file.lock.fail === 'safe' ? enough : !enough
  }

  /** Pushes the leaf; true where it opens. */
  push(): boolean {
    if (!this.leafOpen && this.holds()) return false
    this.setLeaf(true)
    return true
  }

  /** A handle or key moves the bolt of a strike; a magnet gives way to neither. */
  mechanical(): boolean {
    if (this.file.lock.principle === 'magnetic') return this.push()
    this.setLeaf(true)
    return true
  }

  close(): void { this.setLeaf(false) }

  press(down: boolean): void {
    this.buttonPressed = down
    this.tellButton()
  }

  private setLeaf(open: boolean): void {
    this.leafOpen = open
    this.tellContact()
  }

  /** What the inputs see, told again, for example after a controller came up. */
  tell(): void {
    this.tellContact()
    this.tellButton()
  }

  private tellContact(): void {
    const contact = this.file.contact
    if (contact) this.hooks.input(contact.serial, contact.input, this.leafOpen === (contact.reversed ?? false))
  }
  private tellButton(): void {
    if (this.file.exit) this.hooks.input(this.file.exit.serial, this.file.exit.input, this.buttonPressed)
  }
}

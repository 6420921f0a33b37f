import type { DoorWiring, OnvifCredential, OnvifReaction, WiredOutput } from '@rauta/protocols'
import type { Memory } from './memory'

/** What a reaction needs of the controller it runs on. */
export interface ReactingBoard {
  entities(): Memory['entities']
  now(): number
  after(ms: number, then: () => void): () => void
  scheduleOn(token: string): boolean
  /** Whether the input of a part is active. */
  active(port: string): boolean
  drive(output: WiredOutput, on: boolean): void
  release(wiring: DoorWiring): void
}

interface Happening {
  credential?: OnvifCredential
  /** Part whose input it is. */
  input?: string
}

/** What releases the door is moved by nothing but its release. */
const ofTheDoor: ReadonlySet<string> = new Set(['lock', 'secondLock', 'opener'])

/** Tokens of records that stand beside a door's own for its tests begin so. */
const besides = 'rauta-'

/** What a controller does by itself when something happens at one of its doors. An output is driven as long as anything wants it. */
export class Reactions {
  /** By output: whatever wants it driven, and what ends a pulse. */
  private readonly wanted = new Map<string, Map<string, () => void>>()
  private readonly shown = new Map<string, { credential: string; at: number }>()
  constructor(private readonly board: ReactingBoard) {}

  clear(): void {
    for (const wants of this.wanted.values()) for (const end of wants.values()) end()
    this.wanted.clear()
    this.shown.clear()
  }

  happened(wiring: DoorWiring, cause: string, what: Happening = {}): void {
    for (const { token, reaction } of this.at(wiring))
      if (reaction.cause === cause && (reaction.input === undefined || reaction.input === what.input))
        if (this.counts(token, reaction, wiring, what)) this.act(token, reaction, wiring)
  }

  /** What lasted is over: what was held for it is held no more. */
  over(wiring: DoorWiring, causes: readonly string[], input?: string): void {
    for (const { token, reaction } of this.at(wiring))
      if (
        reaction.action === 'Hold' &&
        causes.includes(reaction.cause) &&
        (input === undefined || reaction.input === input)
      )
        this.let(wiring, reaction.output ?? '', token)
  }

  private at(wiring: DoorWiring): { token: string; reaction: OnvifReaction }[] {
    return Object.values(this.board.entities().DoorReactions)
      .filter((r) => r.token === wiring.token || r.token === `${besides}${wiring.token}`)
      .flatMap((r) => r.reactions.map((reaction) => ({ token: `${r.token}/${reaction.token}`, reaction })))
  }

  private counts(token: string, r: OnvifReaction, wiring: DoorWiring, { credential }: Happening): boolean {
    if (r.members !== undefined && !credential?.profiles.some((p) => p.token === r.members)) return false
    if (r.schedule !== undefined && !this.board.scheduleOn(r.schedule)) return false
    if (r.twiceWithinS !== undefined && !this.again(token, r.twiceWithinS, credential)) return false
    const blocks = wiring.inputs.find((i) => i.part === r.unless)
    return blocks === undefined || this.board.active(blocks.port) !== (r.unlessState === 'active')
  }

  private again(token: string, withinS: number, credential: OnvifCredential | undefined): boolean {
    const before = this.shown.get(token)
    const now = this.board.now()
    if (before && before.credential === credential?.token && now - before.at <= withinS * 1000) {
      this.shown.delete(token)
      return true
    }
    if (credential) this.shown.set(token, { credential: credential.token, at: now })
    return false
  }

  private act(token: string, r: OnvifReaction, wiring: DoorWiring): void {
    const { DoorWiring } = this.board.entities()
    const other = DoorWiring[r.door ?? '']
    if (r.action === 'ReleaseDoor' && other) this.board.release(other)
    const output = wiring.outputs.find((o) => o.part === r.output && !ofTheDoor.has(o.function))
    if (!output || (r.action !== 'Pulse' && r.action !== 'Hold')) return
    const wants = this.wanted.get(output.port) ?? new Map<string, () => void>()
    this.wanted.set(output.port, wants)
    wants.get(token)?.()
    const first = wants.size === 0
    wants.set(
      token,
      r.action === 'Hold'
        ? () => undefined
        : this.board.after((r.seconds ?? 0) * 1000, () => this.let(wiring, output.part, token)),
    )
    if (first) this.board.drive(output, true)
  }

  private let(wiring: DoorWiring, part: string, token: string): void {
    const output = wiring.outputs.find((o) => o.part === part)
    const wants = this.wanted.get(output?.port ?? '')
    if (!output || !wants?.delete(token) || wants.size > 0) return
    this.board.drive(output, false)
  }
}

import type { Decides } from '../doors/door'
import type { Rehearsal } from '../doors/hours'
import type { ReactionCause } from '../reactions/records'

/** How a test is judged; its values are what the events are compared with. `part` is a part's id at the door. */
export type TestKind =
  | { kind: 'beforeLoad' }
  | { kind: 'readerIs'; reader: string; card: string }
  | {
      kind: 'opens'
      card: string
      releaseS: number
      /** Contact that must see it, where the door has two. */ contact: string
    }
  | { kind: 'releaseTime'; card: string; seconds: number; toleranceS: number }
  | { kind: 'refused'; card: string; reason: string }
  | {
      kind: 'exit'
      part: string
      /** The door has no other exit device, so that an exit told without a name is this one. */ only: boolean
      contact: boolean
    }
  | { kind: 'desk'; part: string; seconds: number; toleranceS: number }
  | { kind: 'handle'; alarm: boolean }
  | { kind: 'forced' }
  | { kind: 'heldOpen'; card: string; seconds: number; toleranceS: number }
  | {
      kind: 'secondLeaf'
      card: string
      /** Contacts of the two leaves; empty where there is none. */ second: string
      first: string
    }
  | { kind: 'sensing'; part: string; contact: boolean }
  | {
      kind: 'opener'
      part: string
      afterS: number
      toleranceS: number
      /** Lock sensing that must say unlocked first; empty where there is none. */ sensing: string
      contact: boolean
    }
  | { kind: 'breakGlass'; /** The second pole that tells the controller; empty where there is none. */ pole: string }
  | { kind: 'input'; part: string; /** Whether anything else may come of it. */ quiet: boolean }
  | { kind: 'told'; contact: boolean }
  | { kind: 'unlockDelay'; card: string; seconds: number; toleranceS: number }
  | { kind: 'preAlarm'; card: string; seconds: number; toleranceS: number }
  | { kind: 'relockAtOpening'; card: string }
  | { kind: 'free'; contact: boolean }
  | { kind: 'barred'; card: string }
  | { kind: 'firstPerson'; card: string; contact: boolean }
  | { kind: 'alone'; card: string }
  | {
      kind: 'again'
      card: string
      /** Reason with which it is refused the second time; empty where it is let in and told. */ reason: string
    }
  | { kind: 'duress'; card: string }
  | { kind: 'inOutIn'; card: string; entry: string; exit: string }
  | {
      kind: 'reaction'
      cause: ReactionCause
      /** Part whose input it is; empty where it is none. */
      input: string
      card: string
      twice: boolean
      /** Part that is driven; empty where none is. */
      output: string
      hold: boolean
      /** For how long it is driven; 0 where that is not timed. */
      seconds: number
      toleranceS: number
      /** Input that tells how the alarm panel stands, and how it shall; empty where there is none. */
      state: string
      set: boolean
      /** Door that is let go; empty where none is. */
      lets: string
    }
  | { kind: 'noReaction'; card: string; output: string; lets: string }
  | { kind: 'serverDecides'; card: string }
  | {
      kind: 'withoutServer'
      card: string
      then: Decides['then']
      /** After which it is to be found out of reach. */
      seconds: number
      toleranceS: number
      contact: boolean
    }
  | { kind: 'withoutRadio'; card: string; /** What opens it alone; empty where nothing does. */ standby: string }
  | { kind: 'holds' }

/** A part of the configuration a test depends on: `door.release` is the field `release` of the door's part, `terminals.K1.lock` the wired point. */
export type Dependency =
  | `door.${string}`
  | `behaviour.${string}`
  | `reactions.${string}`
  | `radio.${string}`
  | `terminals.${string}`
  | 'accessPoints'

export interface Test {
  id: string
  title: string
  /** What to do, as one instruction. */
  instruction: string
  /** What should come of it. */
  expect: string
  judge: TestKind
  /** Set where a person has to say whether it passed: the question with its answers. */
  ask: { question: string; yes: string; no: string } | null
  depends: Dependency[]
  cards: string[]
  /** Part at which the card is presented; empty where none is. */
  at: string
  /** Wired points that it proves, by their keys: `K1.lock`. */
  proves: string[]
  /** How the door is made to stand meanwhile, as though its own hours said so; null where it has none. */
  rehearse: Rehearsal | null
  /**
   * Where the server decides: whether it keeps silent meanwhile, from the beginning on or since the controller found it out of reach,
   * or is heard from the beginning on. Null where it does not decide.
   */
  silence: 'begins' | 'lasts' | 'never' | null
  /** Whether the device shall forget first where the test cards were last. */
  forget: boolean
  /** Why this test is not applicable, decided from the records; empty where it is. */
  notApplicable: string
}

/** Whether the controller has to be made ready for a test before anything is done at the door. */
export const needsReady = ({ rehearse, forget, silence }: Pick<Test, 'rehearse' | 'forget' | 'silence'>): boolean =>
  rehearse !== null || forget || silence !== null

/** Tolerance of a timer: a second or a tenth, whichever is more (common practice, no source). */
export const timerToleranceS = (seconds: number): number => Math.max(1, seconds / 10)

/** What a terminal or a lead is for; a lead may only go to a terminal of the same kind. */
export type TerminalKind =
  | 'reader+' | 'reader-' | 'd0' | 'd1' | 'led'
  | 'input' | 'inputCommon'
  | 'relayC' | 'relayNO' | 'relayNC'
  | 'feed+' | 'feed-'

/** One screw of a controller. */
export interface Terminal {
  id: string
  label: string
  kind: TerminalKind
  /** Port group it belongs to; a door's parts must share one. */
  group: string
  /** Reader port, input or relay it is part of, unique in the controller: `reader 1`, `input 7`. */
  port: string
  maxConductors: number
}

/** One conductor that comes out of a part. */
export interface Lead {
  id: string
  name: string
  colour: string
  kind: 'supply+' | 'supply-' | 'd0' | 'd1' | 'led' | 'contactA' | 'contactB' | 'lock+' | 'lock-' | 'break1' | 'break2'
}

export interface LockFacts {
  principle: 'magnetic' | 'strike'
  fail: 'safe' | 'secure'
  nominalV: number
  /** Least volts at the lock at which it pulls in (strike) or holds its rating (magnetic). */
  leastV: number
  /** Amps while pulling in (strike) or held (magnetic). */
  pullA: number
  /** Whether it tells by itself that it is locked. */
  sensing: boolean
}

export interface ControllerFacts {
  doors: number
  portGroups: { id: string; name: string }[]
  /** Steps that the device can keep; times are rounded to them when they are loaded. */
  releaseStepS: number
  longestReleaseS: number
  /** Card technologies its reader ports take, by format name. */
  cardFormats: string[]
  feedVolts: number
  /** Amps its lock feed gives in all. */
  feedA: number
  factory: { address: string; user: string; password: string }
  /** Where terminal 1 sits, looking at the board with its text upright. */
  terminalOneAt: 'left' | 'right'
  reset: { says: string; seconds: number }[]
  lamps: { lamp: string; means: string }[]
  cabinet: { id: string; says: string }[]
}

/** A device type as data. Nothing in the code knows a type by its name. */
export interface DeviceSheet {
  id: string
  name: string
  kind: 'controller' | 'reader' | 'lock' | 'contact' | 'exit' | 'breakGlass' | 'supply'
  says: string
  /** Amps at rest from the reader or device supply. */
  restA: number
  terminals: Terminal[]
  leads: Lead[]
  lock?: LockFacts
  controller?: ControllerFacts
  supply?: { volts: number; amps: number; internalOhm: number }
  /** What must be at hand to bring it into service. */
  atHand: string[]
}

export type Sheets = Readonly<Record<string, DeviceSheet>>

/** The sheet of a type, or an error naming it: a plan never holds an unknown type, so this is a broken file. */
export function sheetOf(sheets: Sheets, id: string): DeviceSheet {
  const sheet = sheets[id]
  if (!sheet) throw new Error(`No device sheet is called ${id}.`)
  return sheet
}

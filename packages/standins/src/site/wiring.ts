/** How the simulated site is really wired: the rig's own file, never made from the job. */
export interface SiteFile {
  devices: DeviceFile[]
  doors: DoorFile[]
  /** Cards that lie about for the hands: name to six hexadecimal digits. */
  cards: Record<string, string>
}

export interface DeviceFile {
  serial: string
  mac: string
  /** Id of its device sheet: its model. */
  model: string
  firmware: string
  /** Address it comes up with; the sheet's factory address where absent. */
  address?: string
  prefix?: number
  /** Secret that somebody set before; the factory's where absent. */
  secret?: string
  powered: boolean
  /** How far its clock is off at first, ms. */
  clockOffMs: number
  /** What it holds of an earlier job. */
  holds?: { doors: number; people: number }
}

export interface DoorFile {
  id: string
  name: string
  lock: { principle: 'magnetic' | 'strike'; fail: 'safe' | 'secure'; feedV: number; loopOhm: number; coilOhm: number; leastV: number; serial: string; relay: string }
  readers: { id: string; side: 'outside' | 'inside'; serial: string; port: string; dataSwapped?: boolean }[]
  contact?: { serial: string; input: string; reversed?: boolean }
  exit?: { serial: string; input: string }
  breakGlass: boolean
  handle: boolean
}

import { recordKind } from '../job/kind'

/** How a bus is really run: its id is `controller/port`, its stations `door/part`. What it doesn't speak of is as planned. */
export interface BusRun {
  id: string
  /** Stations in the order in which the daisy chain visits them; the controller is before the first. */
  order: string[]
  stations: Record<
    string,
    {
      /** Metres of cable from the station before. */ fromPreviousM?: number
      /** Metres of a branch off the chain. */ stubM?: number
      /** The 0 V conductor beside A and B is missing. */ noReference?: true
    }
  >
}

declare module '../job/facts' {
  interface RecordTypes {
    busRun: BusRun
  }
}

export const busRunKind = recordKind('busRun', { fields: { id: 'text', order: 'list', stations: 'object' } })

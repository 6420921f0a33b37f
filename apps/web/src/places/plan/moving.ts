import {
  all,
  boardOf,
  effectOf,
  sendings,
  leadsToController,
  terminalWords,
  wantsOf,
  withLeadAt,
  type Controller,
  type Door,
  type Effect,
  type Terminal,
  type Want,
} from '@rauta/core'
import { sheetsFor } from '@rauta/contracts'
import { useState } from 'react'
import { saysOf } from '../../state/api'
import { useFacts, useJob } from '../../state/job'

/** A lead on its way to another terminal. */
export interface Moving {
  controller: Controller | undefined
  wants: readonly Want[]
  /** Key of the lead in hand, `C1.a`; null where none is. */
  lead: string | null
  /** What is in hand, for people: `C1 contact`. */
  leadName: string
  want: Want | undefined
  /** The terminal it would go to. */
  over: Terminal | null
  /** What that would do to the findings; null while no terminal is chosen. */
  effect: Effect | null
  /** Whether it would bring a stop. */
  harms: boolean
  wrong: string
  terminals: readonly Terminal[]
  take(lead: string | null): void
  look(terminal: Terminal | null, lead: string | null): void
  tap(terminal: Terminal): void
  put(terminal: Terminal, lead: string): Promise<void>
  nameOf(want: Want): string
}

/** Moving the leads of a door from screw to screw: shared by the strip and by whatever is at the thumb. */
export function useMoving(door: Door | undefined): Moving {
  const facts = useFacts()
  const send = useJob((s) => s.send)
  const [lead, setLead] = useState<string | null>(null)
  const [over, setOver] = useState<Terminal | null>(null)
  const [wrong, setWrong] = useState('')
  const sheets = sheetsFor(facts)
  const controller = facts.controller[door?.placement?.controller ?? '']
  const wants = door && controller ? wantsOf(door, sheets) : []
  const wantOf = (key: string | null) => wants.find((w) => `${w.part}.${w.lead}` === key)
  const want = wantOf(lead)
  const nameOf = (w: Want): string => {
    const part = door?.parts.find((p) => p.id === w.part)
    const about = part && leadsToController(part, sheets).find((l) => l.id === w.lead)
    return `${w.part} ${about?.name ?? w.lead}`
  }
  const take = (key: string | null) => {
    setLead(key)
    setOver(null)
    setWrong('')
  }
  const look = (terminal: Terminal | null, key: string | null) => {
    const moving = wantOf(key)
    const fits = !terminal || !moving || terminal.kind === moving.kind
    setWrong(
      fits
        ? ''
        : `${nameOf(moving)} does not go on ${terminal.id} ${terminal.label}: it wants ${terminalWords[moving.kind]}.`,
    )
    setOver(terminal && moving && fits ? terminal : null)
  }
  const put = async (terminal: Terminal, key: string) => {
    if (!door?.placement) return
    const { placement } = door
    try {
      await send('door.place', {
        id: door.id,
        placement: { ...placement, terminals: { ...placement.terminals, [key]: terminal.id } },
      })
      take(null)
    } catch (error) {
      setWrong(saysOf(error))
    }
  }
  const effect =
    door && over && lead
      ? effectOf(
          door,
          withLeadAt(door, lead, over.id),
          facts.controller,
          sheets,
          all(facts, 'door'),
          facts.powerPlan,
          sendings(facts),
        )
      : null
  return {
    controller,
    wants,
    lead,
    leadName: want ? nameOf(want) : '',
    want,
    over,
    effect,
    harms: effect?.comes.some((f) => f.grade === 'stop') ?? false,
    wrong,
    terminals: controller ? boardOf(sheets, controller).terminals : [],
    take,
    look,
    tap: (terminal) => {
      if (lead) look(terminal, lead)
      else setWrong('Tap a lead first, then the terminal it shall go to.')
    },
    put,
    nameOf,
  }
}

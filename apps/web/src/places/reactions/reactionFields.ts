import {
  accessPlaces,
  causesAt,
  drivenParts,
  isDriven,
  isOfInput,
  mayFollow,
  panelWay,
  reactionActs,
  reactionCauses,
  tellingParts,
  type Door,
  type Reaction,
  type ReactionAct,
  type ReactionCause,
  type Sheets,
} from '@rauta/core'
import { v7 } from 'uuid'
import { typedNumber } from '../../parts/Field'

export interface ReactionFields {
  id: string
  door: string
  when: ReactionCause
  part: string
  group: string
  twice: boolean
  schedule: string
  then: ReactionAct
  output: string
  seconds: string
  lets: string
  blind: string
}

/** What can happen at the door, and what is chosen already. */
export const causesFor = (door: Door, sheets: Sheets, chosen: ReactionCause): ReactionCause[] => {
  const can = causesAt(door, sheets)
  return reactionCauses.filter((cause) => can.includes(cause) || cause === chosen)
}

/** What can follow at the door by what is wired there and beside it, and what is chosen already. */
export function actsFor(door: Door, others: readonly Door[], when: ReactionCause, chosen?: ReactionAct): ReactionAct[] {
  const can: Readonly<Record<ReactionAct, boolean>> = {
    pulse: drivenParts(door).length > 0,
    hold: drivenParts(door).length > 0,
    setPanel: panelWay(door, 'setPanel') !== null,
    unsetPanel: panelWay(door, 'unsetPanel') !== null,
    release: others.length > 0,
  }
  return reactionActs.filter((act) => act === chosen || (can[act] && mayFollow(when, act)))
}

/** What a new reaction begins with: the first thing that can happen, and the first that can follow. */
export function firstFields(door: Door, others: readonly Door[], sheets: Sheets): ReactionFields {
  const when = accessPlaces(door, sheets).length > 0 ? 'granted' : (causesAt(door, sheets)[0] ?? 'exit')
  return {
    id: v7(),
    door: door.id,
    when,
    part: tellingParts(door)[0]?.id ?? '',
    group: '',
    twice: false,
    schedule: '',
    then: actsFor(door, others, when)[0] ?? 'pulse',
    output: drivenParts(door)[0]?.id ?? '',
    seconds: '5',
    lets: others[0]?.id ?? '',
    blind: '',
  }
}

export const fieldsOf = (r: Reaction, first: ReactionFields): ReactionFields => ({
  ...first,
  ...r,
  twice: r.twice === true,
  group: r.group ?? '',
  schedule: r.schedule ?? '',
  seconds: r.seconds === undefined ? first.seconds : String(r.seconds),
  blind: r.blind ?? '',
})

/** @param blindly whether a word is asked for: nothing tells how the panel stands */
export const reactionOf = (form: ReactionFields, blindly: boolean): Reaction => ({
  id: form.id,
  door: form.door,
  when: form.when,
  ...(isOfInput(form.when) ? { part: form.part } : {}),
  ...(form.when === 'granted' && form.group ? { group: form.group } : {}),
  ...(form.when === 'granted' && form.twice ? { twice: true } : {}),
  ...(form.schedule ? { schedule: form.schedule } : {}),
  then: form.then,
  ...(isDriven(form.then) ? { output: form.output } : {}),
  ...(form.then === 'pulse' ? { seconds: typedNumber(form.seconds) } : {}),
  ...(form.then === 'release' ? { lets: form.lets } : {}),
  ...(blindly && form.blind.trim() ? { blind: form.blind.trim() } : {}),
})

import { byUnknownCode, presentingUnderDuress, presentUnknown } from './codeTests'
import { cardData } from '../cards/card'
import type { Part } from '../doors/door'
import { drivenBy, isOfPanel, panelWay } from '../reactions/causes'
import { twiceWithinS, type Reaction, type ReactionCause } from '../reactions/records'
import { forceInstruction } from './forcing'
import {
  contacts,
  dependsOn,
  did,
  exits,
  keys,
  made,
  points,
  presenting,
  readers,
  releasing,
  workIt,
  type ReactionHere,
  type Scene,
} from './scene'
import { timerToleranceS, type Dependency, type Test } from './test'

/** What brings a cause about: what to do, what is presented for it, and what of the configuration it hangs on. */
interface Doing {
  says: string
  card: string
  cards: string[]
  depends: Dependency[]
}

const byHand = (says: string, depends: Dependency[] = []): Doing => ({ says, card: '', cards: [], depends })

/** A test for each reaction, and for each that asks for a group another that it keeps still for others. */
export const reactionTests = (scene: Scene): Test[] =>
  scene.reactions.flatMap((here) => {
    const doing = doingFor(scene, here.reaction)
    return doing ? [comesOf(scene, here, doing), ...staysStill(scene, here)] : []
  })

function comesOf(scene: Scene, { reaction, says, lets }: ReactionHere, doing: Doing): Test {
  const { id, then, seconds = 0, twice = false } = reaction
  const output = drivenBy(scene.door, reaction)
  const way = panelWay(scene.door, then)
  const outputs = output ? scene.points.filter((p) => p.part.id === output.id) : []
  const states = way?.state ? points(scene, 'panelState') : []
  const first = panelFirst(then)
  return made({
    id: `reaction-${id}`,
    title: says,
    instruction: `${scene.still}${first}${doing.says}.`,
    expect: expected(reaction, output, way?.state, lets),
    judge: {
      kind: 'reaction',
      cause: reaction.when,
      input: reaction.part ?? '',
      card: doing.card,
      twice,
      output: output?.id ?? '',
      hold: then === 'hold',
      seconds: then === 'pulse' ? seconds : 0,
      toleranceS: timerToleranceS(seconds),
      state: way?.state?.id ?? '',
      set: then === 'setPanel',
      lets: reaction.lets ?? '',
    },
    ask:
      way && !way.state
        ? did(
            then === 'setPanel' ? 'Is the alarm panel set now?' : 'Is the alarm panel unset now?',
            'It is',
            'It isn’t',
          )
        : null,
    depends: [...doing.depends, `reactions.${id}`, ...dependsOn([...outputs, ...states])],
    cards: doing.cards,
    proves: keys(outputs),
  })
}

/** Else its line would not be driven, whoever comes. */
const panelFirst = (then: Reaction['then']): string =>
  isOfPanel(then) ? `Have the alarm panel ${then === 'setPanel' ? 'unset' : 'set'} first. ` : ''

function expected({ then, seconds }: Reaction, output: Part | null, state: Part | undefined, lets: string): string {
  switch (then) {
    case 'pulse':
      return `${output?.id ?? ''} comes on at once, and goes off after ${seconds ?? 0} s.`
    case 'hold':
      return `${output?.id ?? ''} comes on at once, and goes off when it is over.`
    case 'setPanel':
    case 'unsetPanel':
      return `${output?.id ?? ''} is driven${state ? `, and ${state.id} says that the panel is ${then === 'setPanel' ? 'set' : 'unset'}` : ''}.`
    case 'release':
      return `${lets} is let go.`
  }
}

/** For a card that is of no group the reaction asks for: the second test card. */
function staysStill(scene: Scene, { reaction, says }: ReactionHere): Test[] {
  const { second } = scene.kit
  const { code, pairWithinS } = scene.door.behaviour
  const entry = scene.places.find((p) => p.cards && !p.leaving)
  if (reaction.group === undefined || !second || !entry || pairWithinS !== undefined) return []
  const { says: present, card, cards } = presenting({ door: scene.door, kit: scene.kit }, entry, second)
  const output = drivenBy(scene.door, reaction)
  return [
    made({
      id: `reaction-${reaction.id}-others`,
      title: `Not for others: ${says.charAt(0).toLowerCase()}${says.slice(1)}`,
      instruction: `${scene.still}${panelFirst(reaction.then)}${present}${reaction.twice ? `, and once more within ${twiceWithinS} s` : ''}. Leave the leaf shut.`,
      expect: 'Released, and nothing else comes of it.',
      judge: { kind: 'noReaction', card, output: output?.id ?? '', lets: reaction.lets ?? '' },
      depends: [
        ...dependsOn([...readers(scene), ...releasing(scene)]),
        'accessPoints',
        ...(code === undefined ? [] : (['behaviour.code'] as const)),
        `reactions.${reaction.id}`,
      ],
      cards,
      at: entry.part.id,
    }),
  ]
}

/** What to do so that its cause happens; null where nothing at the door can bring it about. */
function doingFor(scene: Scene, { when, part, twice }: Reaction): Doing | null {
  const entry = scene.places.find((p) => !p.leaving && (p.cards || p.keys))
  const read: Dependency[] = [...dependsOn(readers(scene)), 'accessPoints']
  const seen: Dependency[] = dependsOn([...contacts(scene), ...releasing(scene)])
  const input = scene.points.find((p) => p.part.id === part)
  const shown = entry && presenting(scene, entry)
  const byCard = (more: string, depends: Dependency[] = []): Doing | null =>
    shown
      ? { says: `${shown.says}${more}`, card: shown.card, cards: shown.cards, depends: [...read, ...depends] }
      : null
  const ways: Readonly<Record<ReactionCause, () => Doing | null>> = {
    granted: () =>
      byCard(
        twice ? `, and the same once more within ${twiceWithinS} s. Leave the leaf shut` : ' and leave the leaf shut',
        dependsOn(releasing(scene)),
      ),
    refused() {
      if (!entry) return null
      const says = presentUnknown(scene, entry)
      const card = entry.cards ? cardData(scene.kit.unknown) : byUnknownCode
      return { says, card, cards: [card], depends: read }
    },
    duress() {
      const keypad = scene.places.find((p) => p.keys && !p.leaving)
      if (!keypad || scene.door.behaviour.code === undefined) return null
      const place = scene.door.behaviour.code === 'with' ? keypad : { ...keypad, cards: false }
      const { says, card, cards } = presentingUnderDuress(scene, place)
      return { says, card, cards, depends: [...read, 'behaviour.code'] }
    },
    forced: () => (scene.contact ? byHand(forceInstruction(scene), ['door.forcedAlarm', ...seen]) : null),
    heldOpen: () =>
      scene.contact
        ? byCard(', keep the leaf open until the alarm, then let it close', ['door.heldOpen', ...seen])
        : null,
    preAlarm: () =>
      scene.contact
        ? byCard(', keep the leaf open until the warning, then let it close', ['door.preAlarm', ...seen])
        : null,
    exit() {
      const device = exits(scene)[0]
      return device ? byHand(workIt(device), dependsOn(exits(scene))) : null
    },
    desk() {
      const desk = points(scene, 'deskButton')[0]
      return desk ? byHand(`Press ${desk.part.id} at the desk`, dependsOn([desk])) : null
    },
    input: () => (input ? byHand(workInput(input.part, false), dependsOn([input])) : null),
    inputEnds: () => (input ? byHand(workInput(input.part, true), dependsOn([input])) : null),
  }
  return ways[when]()
}

function workInput(part: Part, back: boolean): string {
  const works = part.role === 'panelState' ? 'Set the alarm panel at its own keypad' : `Work ${part.id}`
  const returns = part.role === 'panelState' ? 'unset it again' : 'put it back'
  return back ? `${works}, then ${returns}` : `${works}, and later ${returns}`
}

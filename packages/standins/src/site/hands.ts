import type { BusReaderMemory } from '../bus/peripheral'
import type { Harm } from './harms'
import type { Opening } from './opening'
import type { Rig } from './rig'
import { sendsChoices } from './sending'

/** One thing that a hand does. `after` is ms from the one before, on the site's clock. */
export type Hand = { after?: number } & (
  | { do: 'card'; door: string; reader: string; card: string }
  | { do: 'keys'; door: string; reader: string; keys: string }
  /** Sets a reader's own switches to one of `sendsChoices`, or back (null). */
  | { do: 'sends'; door: string; reader: string; choice: string | null }
  | { do: 'work' | 'let'; door: string; part: string }
  /** Puts the conductor of a part on another input of its controller. */
  /** Leans on the leaf until it opens, for so long at most. */
  | { do: 'lean'; door: string; ms: number }
  | { do: 'move'; door: string; part: string; input: string }
  /** Something goes wrong with a part or its cable, or is mended. */
  | { do: 'harm'; door: string; part: string; harm: Harm | null }
  | {
      do:
        | 'push2'
        | 'close2'
        | 'openerOff'
        | 'openerOn'
        | 'push'
        | 'close'
        | 'press'
        | 'release'
        | 'handle'
        | 'key'
        | 'breakGlass'
        | 'mendGlass'
        | 'pullFeed'
        | 'mendFeed'
        | 'setPanel'
        | 'unsetPanel'
      door: string
    }
  | { do: 'power'; serial: string; on: boolean }
  | { do: 'jumper'; serial: string; to: 'network' | 'supply' }
  | { do: 'network'; serial: string; on: boolean }
  | { do: 'slow' | 'eventDelay'; serial: string; ms: number }
  | { do: 'secret'; serial: string; secret: string }
  | { do: 'setKey'; serial: string; held: boolean }
  | { do: 'dropSubscriptions'; serial: string }
  | { do: 'eventTimes'; serial: string; times: number }
  | { do: 'timerFactor'; serial: string; factor: number }
  | { do: 'garbage'; serial: string; kind: 'none' | 'noise' | 'half' | 'silence' }
  | { do: 'cutPowerAfterWrites'; serial: string; writes: number }
  | { do: 'lostAnswers'; serial: string; share: number }
  | { do: 'forgets'; serial: string; operation: string }
  | { do: 'clock'; serial: string; offMs: number }
  /** At a reader on a bus: its switches, its leads, the jumper of its terminator, its key as somebody else left it, its case. */
  | { do: 'busSet'; reader: string; to: Partial<BusReaderMemory> }
  | { do: 'busReset'; reader: string }
  | { do: 'busTamper'; reader: string; open: boolean }
  /** At a hub: its power, its address switches, or as from the factory. */
  | { do: 'hubPower'; hub: string; on: boolean }
  | { do: 'hubSwitches'; hub: string; address: number }
  | { do: 'hubReset'; hub: string }
  /** At a wireless lock: the set-up card, or as from the factory. */
  | { do: 'lockSetUp' | 'lockReset'; lock: string }
  | { do: 'lockBattery'; lock: string; low: boolean }
  /** Takes the cable of a bus off its controller. */
  | { do: 'busCut'; bus: string; cut: boolean }
)

/** Plays hands one after the other; answers, when the last is done, what each came to. */
export function play(rig: Rig, hands: readonly Hand[]): Promise<string[]> {
  const done: string[] = []
  return new Promise((resolve, reject) => {
    const next = (i: number) => {
      const hand = hands[i]
      if (!hand) return resolve(done)
      rig.world.after(hand.after ?? 0, () => {
        try {
          if (hand.do === 'lean')
            lean(rig, hand.door, hand.ms, (came) => {
              done.push(came)
              next(i + 1)
            })
          else {
            done.push(act(rig, hand))
            next(i + 1)
          }
        } catch (error) {
          reject(error instanceof Error ? error : new Error(String(error)))
        }
      })
    }
    next(0)
  })
}

/** How often a hand that leans on a leaf feels whether it gives, ms. */
const leanEveryMs = 100

function lean(rig: Rig, door: string, leftMs: number, then: (came: string) => void): void {
  const opening = openingOf(rig, door)
  if (opening.push()) return then('it opens')
  if (leftMs <= 0) return then('it holds')
  rig.world.after(leanEveryMs, () => lean(rig, door, leftMs - leanEveryMs, then))
}

function openingOf(rig: Rig, door: string): Opening {
  const opening = rig.openings.get(door)
  if (!opening) throw new Error(`There is no door ${door}.`)
  return opening
}

function act(rig: Rig, hand: Exclude<Hand, { do: 'lean' }>): string {
  if ('door' in hand) return actOnDoor(rig, hand)
  if ('reader' in hand) return actOnReader(rig, hand)
  if ('bus' in hand) {
    const line = rig.lines.get(hand.bus)
    if (!line) throw new Error(`There is no bus ${hand.bus}.`)
    line.cut = hand.cut
    return hand.cut ? 'bus off' : 'bus on'
  }
  if ('hub' in hand) return actOnHub(rig, hand)
  if ('lock' in hand) return actOnLock(rig, hand)
  const unit = rig.units.get(hand.serial)
  if (!unit) throw new Error(`There is no device ${hand.serial}.`)
  switch (hand.do) {
    case 'power':
      unit.power(hand.on)
      return hand.on ? 'power on' : 'power off'
    case 'jumper':
      if (!unit.jumper) throw new Error(`${hand.serial} has no jumper for its supply.`)
      unit.setJumper(hand.to)
      return `jumper on ${hand.to}`
    case 'network':
      rig.cable(unit, hand.on)
      return hand.on ? 'network back' : 'network cut'
    case 'slow':
      unit.faults.slowMs = hand.ms
      return 'slow'
    case 'eventDelay':
      unit.faults.eventDelayMs = hand.ms
      return 'events late'
    case 'eventTimes':
      unit.faults.eventTimes = hand.times
      return 'events repeated'
    case 'timerFactor':
      unit.faults.timerFactor = hand.factor
      return 'timers off'
    case 'garbage':
      unit.faults.garbage = hand.kind
      return hand.kind
    case 'cutPowerAfterWrites':
      unit.faults.cutPowerAfterWrites = hand.writes
      return 'power will go'
    case 'lostAnswers':
      unit.faults.lostAnswers = hand.share
      return hand.share ? `loses ${Math.round(hand.share * 100)} % of its answers` : 'loses no answer'
    case 'forgets':
      unit.faults.forgets = hand.operation
      return hand.operation ? `forgets ${hand.operation}` : 'forgets nothing'
    case 'secret':
      for (const user of unit.memory.users) user.password = hand.secret
      unit.save()
      return 'secret changed'
    case 'setKey':
      unit.key(hand.held)
      return hand.held ? 'SET held' : 'SET let go'
    case 'dropSubscriptions':
      unit.pullPoints.endAll()
      return 'subscriptions dropped'
    case 'clock':
      unit.memory.clockOffMs = hand.offMs
      unit.save()
      return 'clock set off'
  }
}

function actOnDoor(rig: Rig, hand: Exclude<Extract<Hand, { door: string }>, { do: 'lean' }>): string {
  const opening = openingOf(rig, hand.door)
  switch (hand.do) {
    case 'card':
      rig.presentCard(hand.door, hand.reader, hand.card)
      return 'card shown'
    case 'keys':
      rig.typeKeys(hand.door, hand.reader, hand.keys)
      return 'typed'
    case 'sends': {
      const choice = hand.choice === null ? null : Object.hasOwn(sendsChoices, hand.choice) && sendsChoices[hand.choice]
      if (choice === false || choice === undefined)
        throw new Error(`A reader sends in none of these ways: ${hand.choice}.`)
      rig.setSends(hand.door, hand.reader, choice)
      return choice ? `sends ${hand.choice}` : 'sends as it was'
    }
    case 'push':
      return opening.push() ? 'it opens' : 'it holds'
    case 'close':
      opening.close()
      return 'closed'
    case 'press':
      opening.press(true)
      return 'pressed'
    case 'release':
      opening.press(false)
      return 'let go'
    case 'handle':
      return opening.file.handle && opening.mechanical() ? 'it opens' : 'it holds'
    case 'key':
      return opening.mechanical() ? 'it opens' : 'it holds'
    case 'push2':
      return opening.push2() ? 'it opens' : 'it holds'
    case 'openerOff':
    case 'openerOn':
      opening.openerOff = hand.do === 'openerOff'
      return opening.openerOff ? 'opener off' : 'opener on'
    case 'close2':
      opening.close2()
      return 'closed'
    case 'work':
    case 'let':
      if (!opening.work(hand.part, hand.do === 'work'))
        throw new Error(`Door ${hand.door} has no ${hand.part} to work.`)
      return hand.do === 'work' ? 'worked' : 'let go'
    case 'move':
      rig.move(hand.door, hand.part, hand.input)
      return `${hand.part} on ${hand.input}`
    case 'harm':
      opening.harm(hand.part, hand.harm)
      return hand.harm ? `${hand.part}: ${hand.harm}` : `${hand.part} mended`
    case 'breakGlass':
      opening.setGlass(true)
      return opening.file.breakGlass ? 'broken' : 'there is none'
    case 'mendGlass':
      opening.setGlass(false)
      return 'whole again'
    case 'pullFeed':
      opening.setFeed(true)
      return 'feed pulled'
    case 'mendFeed':
      opening.setFeed(false)
      return 'feed back'
    case 'setPanel':
    case 'unsetPanel':
      if (!opening.file.panel) throw new Error(`Door ${hand.door} has no alarm panel.`)
      opening.setPanel(hand.do === 'setPanel')
      return opening.panelSet ? 'panel set' : 'panel unset'
  }
}

function actOnReader(rig: Rig, hand: Exclude<Extract<Hand, { reader: string }>, { door: string }>): string {
  const reader = rig.busReaders.get(hand.reader)
  if (!reader) throw new Error(`There is no reader ${hand.reader} on a bus.`)
  switch (hand.do) {
    case 'busSet':
      reader.hand(hand.to)
      return 'set'
    case 'busReset':
      reader.reset()
      return 'as from the factory'
    case 'busTamper':
      reader.tamper(hand.open)
      return hand.open ? 'case open' : 'case shut'
  }
}

function actOnHub(rig: Rig, hand: Extract<Hand, { hub: string }>): string {
  const hub = rig.air.hubs.get(hand.hub)
  if (!hub) throw new Error(`There is no hub ${hand.hub}.`)
  switch (hand.do) {
    case 'hubPower':
      rig.air.power(hand.hub, hand.on)
      return hand.on ? 'hub has power' : 'hub off'
    case 'hubSwitches':
      hub.remember({ address: hand.address })
      rig.air.follow()
      return `switches at ${hand.address}`
    case 'hubReset':
      hub.reset()
      rig.air.follow()
      return 'as from the factory'
  }
}

function actOnLock(rig: Rig, hand: Extract<Hand, { lock: string }>): string {
  const lock = rig.air.locks.get(hand.lock)
  if (!lock) throw new Error(`There is no wireless lock ${hand.lock}.`)
  switch (hand.do) {
    case 'lockSetUp':
      return { green: 'green: paired', red: 'red: it is somebody else’s', nothing: 'no lamp: no hub waits for it' }[
        rig.air.setUp(hand.lock)
      ]
    case 'lockReset':
      lock.reset()
      rig.air.follow()
      return 'as from the factory'
    case 'lockBattery':
      lock.remember({ batteryLow: hand.low })
      return hand.low ? 'battery low' : 'new cells'
  }
}

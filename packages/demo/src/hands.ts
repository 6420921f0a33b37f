import { testCards } from './job'

type Hand = Record<string, unknown>

/** The hands of the rig over its page. */
export class Hands {
  constructor(readonly base: string) {}
  async play(hands: Hand[]): Promise<string[]> {
    const response = await fetch(`${this.base}/rig/hands`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ hands }),
    })
    const answer = (await response.json()) as { done?: string[]; says?: string }
    if (!answer.done) throw new Error(`The rig refuses: ${answer.says}`)
    return answer.done
  }
}

const cards = {
  good: 'test card, good',
  lost: 'test card, lost',
  hours: 'test card, out of hours',
  expired: 'test card, expired',
  longer: 'test card, longer',
  second: 'test card, second',
  ended: 'test card, right ended',
  unknown: 'card nobody knows',
  standby: 'standby credential',
}

const codes = testCards.codes

/** What hands do for each test at a door. */
export function handsFor(
  test: string,
  door: string,
  {
    heldOpenS,
    magnetic,
    waits,
    code,
  }: {
    heldOpenS: number
    magnetic: boolean
    /** ms between two presentations */ waits: number
    /** Whether a code is asked for with every card. */ code?: boolean
  },
): Hand[] {
  const own = door === 'F-01' ? 'K1' : 'R1'
  const card = (which: keyof typeof cards, reader = own): Hand => ({ do: 'card', door, reader, card: cards[which] })
  const keys = (which: keyof typeof codes): Hand => ({
    after: 500,
    do: 'keys',
    door,
    reader: 'R1',
    keys: `${codes[which]}#`,
  })
  /** A good card, with its code where one is asked for. */
  const good = (reader = own): Hand[] => [card('good', reader), ...(code && reader === 'R1' ? [keys('good')] : [])]
  const at = (after: number, act: string): Hand => ({ after, do: act, door })
  // A hand leans on the leaf until it gives: on a busy machine the lock lets go later.
  const open = (after: number): Hand => ({ after, do: 'lean', door, ms: 4000 })
  if (test.startsWith('reader-')) return good(test.slice(7))
  switch (test) {
    case 'before-load':
      return [card('good'), at(800, 'push'), at(400, 'close')]
    case 'told':
      return [open(600), at(1500, 'close')]
    case 'good-card':
      return [...good(), open(1200), at(1800, 'close')]
    case 'release-time':
    case 'alone':
    case 'server-decides':
      return good()
    case 'server-away':
      return [{ ...card('good'), after: 13_000 }, ...good().slice(1)]
    case 'server-away-R2':
      return [card('good', 'R2'), open(1200), at(1800, 'close')]
    case 'unlock-delay':
      return good()
    case 'relock-opening':
      return [...good(), open(1200), at(2500, 'close')]
    case 'reentry':
    case 'passback':
      return [...good(), { after: waits, ...card('good') }, ...good().slice(1)]
    case 'passback-out':
      return [...good(), { after: waits, ...card('good', 'R2') }, { after: waits, ...card('good') }, ...good().slice(1)]
    case 'pre-alarm':
      return [...good(), open(1000), at(heldOpenS * 1000 + 4000, 'close')]
    case 'free-hours':
      return [open(500), at(1500, 'close')]
    case 'first-person':
      return [...good(), open(1000), at(1500, 'close'), open(1500), at(1500, 'close')]
    case 'barred-hours':
    case 'code-missing':
      return [card('good')]
    case 'code-wrong':
      return [card('good'), keys('unknown')]
    case 'code-alone':
      return [keys('good'), open(1200), at(1800, 'close')]
    case 'code-unknown':
      return [keys('unknown')]
    case 'code-duress':
      return code ? [card('good'), keys('duress')] : [keys('duress')]
    case 'unknown-card':
      return [card('unknown')]
    case 'lost-card':
      return [card('lost')]
    case 'hours-card':
      return [card('hours')]
    case 'ended-right':
      return [card('ended')]
    case 'expired-card':
      return [card('expired')]
    case 'longer-release':
      return [card('longer')]
    case 'exit-button':
    case 'server-away-X1':
      return [at(0, 'press'), at(400, 'release'), open(800), at(1500, 'close')]
    case 'exit-sensor':
      return [
        { do: 'work', door, part: 'X2' },
        { after: 600, do: 'let', door, part: 'X2' },
        open(800),
        at(1500, 'close'),
      ]
    case 'handle':
      return [at(0, 'handle'), at(1500, 'close')]
    case 'forced':
      return magnetic
        ? [at(0, 'pullFeed'), open(900), at(2500, 'close'), at(700, 'mendFeed')]
        : [at(0, 'handle'), at(2500, 'close')]
    case 'held-open':
      return [...good(), open(1000), at(heldOpenS * 1000 + 4000, 'close')]
    case 'reaction-re-forced':
      return handsFor('forced', door, { heldOpenS, magnetic, waits })
    case 'reaction-re-open':
      return handsFor('held-open', door, { heldOpenS, magnetic, waits })
    case 'panel-P4':
      return [at(0, 'unsetPanel'), at(1000, 'setPanel'), at(1000, 'unsetPanel')]
    case 'reaction-re-unset':
      return [at(0, 'setPanel'), { ...card('good'), after: 1500 }]
    case 'reaction-re-set':
      return [at(0, 'unsetPanel'), { ...card('good'), after: 1500 }, { ...card('good'), after: 2500 }]
    case 'reaction-re-unset-others':
      return [at(0, 'setPanel'), { ...card('second'), after: 1500 }]
    case 'reaction-re-set-others':
      return [at(0, 'unsetPanel'), { ...card('second'), after: 1500 }, { ...card('second'), after: 2500 }]
    case 'break-glass':
      return [at(0, 'breakGlass'), open(900), at(2000, 'close'), at(800, 'mendGlass')]
    case 'without-radio-K1':
      return [
        { do: 'hubPower', hub: 'HB-3101-W1', on: false },
        { ...card('good'), after: 500 },
        { ...card('standby'), after: 1500 },
        open(500),
        at(1500, 'close'),
        { after: 1500, do: 'hubPower', hub: 'HB-3101-W1', on: true },
      ]
    case 'holds':
      return [at(0, 'push')]
    default:
      throw new Error(`No hands for ${test}.`)
  }
}

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
}

/** What hands do for each test at a door. */
export function handsFor(
  test: string,
  door: string,
  {
    heldOpenS,
    magnetic,
    waits,
  }: { heldOpenS: number; magnetic: boolean; /** ms between two presentations */ waits: number },
): Hand[] {
  const card = (which: keyof typeof cards, reader = 'R1'): Hand => ({ do: 'card', door, reader, card: cards[which] })
  const at = (after: number, act: string): Hand => ({ after, do: act, door })
  // A hand leans on the leaf until it gives: on a busy machine the lock lets go later.
  const open = (after: number): Hand => ({ after, do: 'lean', door, ms: 4000 })
  if (test.startsWith('reader-')) return [card('good', test.slice(7))]
  switch (test) {
    case 'before-load':
      return [card('good'), at(800, 'push'), at(400, 'close')]
    case 'told':
      return [open(600), at(1500, 'close')]
    case 'good-card':
      return [card('good'), open(1200), at(1800, 'close')]
    case 'release-time':
    case 'alone':
      return [card('good')]
    case 'unlock-delay':
      return [card('good')]
    case 'relock-opening':
      return [card('good'), open(1200), at(2500, 'close')]
    case 'reentry':
    case 'passback':
      return [card('good'), { after: waits, ...card('good') }]
    case 'passback-out':
      return [card('good'), { after: waits, ...card('good', 'R2') }, { after: waits, ...card('good') }]
    case 'pre-alarm':
      return [card('good'), open(1000), at(heldOpenS * 1000 + 4000, 'close')]
    case 'free-hours':
      return [open(500), at(1500, 'close')]
    case 'first-person':
      return [card('good'), open(1000), at(1500, 'close'), open(1500), at(1500, 'close')]
    case 'barred-hours':
      return [card('good')]
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
      return [card('good'), open(1000), at(heldOpenS * 1000 + 4000, 'close')]
    case 'break-glass':
      return [at(0, 'breakGlass'), open(900), at(2000, 'close'), at(800, 'mendGlass')]
    case 'holds':
      return [at(0, 'push')]
    default:
      throw new Error(`No hands for ${test}.`)
  }
}

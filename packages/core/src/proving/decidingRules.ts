import { behaviourRules } from './behaviourRules'
import { onServerClock } from './events'
import { grantedHere, isReadingOf, readHere, type Rule } from './reading'
import { cameAfter, failed, find, notJudged, passed, waiting, within, windowOf } from './verdict'

/** What a controller did with and without the server that it asks. */
export const decidingRules: { serverDecides: Rule<'serverDecides'>; withoutServer: Rule<'withoutServer'> } = {
  serverDecides: (kind, own, events, input) => {
    const here = grantedHere(input, own, events, kind.card)
    const asked = find(own, 'notice', 'asked')
    if (!('granted' in here))
      return asked && here.state === 'waiting' ? waiting('Asked. Waiting for the answer.', [asked]) : here
    const { granted } = here
    const alone = own.find((e) => e.kind === 'notice' && (e.state === 'unanswered' || e.state === 'deciderAway'))
    if (alone) return failed('The server did not answer in time: the controller decided by itself.', [alone, granted])
    return asked && cameAfter(granted, asked)
      ? passed('The controller asked the server, and let in on its word.', [asked, granted])
      : failed('The controller let in without asking the server.', [granted])
  },
  withoutServer: (kind, own, events, input) => {
    const away = find(own, 'notice', 'deciderAway')
    const early = kind.card && own.find((e) => isReadingOf(e, kind.card) && !(away && cameAfter(e, away)))
    if (early)
      return notJudged('The card came before the server was found out of reach. Do it again and wait for that.', [
        early,
      ])
    if (!away) return waiting('Waiting until the controller finds the server out of reach.')
    const since = (onServerClock(away) - input.trial.startedAt) / 1000
    const inTime = within(since, windowOf(kind), kind.seconds, 'The server was found out of reach', [away])
    if (inTime.state === 'failed') return inTime
    const then = own.filter((e) => cameAfter(e, away))
    if (kind.then === 'opens') {
      const free = behaviourRules.free({ kind: 'free', contact: kind.contact }, then, events, input)
      return { ...free, evidence: [away, ...free.evidence] }
    }
    const here = readHere(input, then, events, kind.card)
    if (!('read' in here)) return { ...here, evidence: [away, ...here.evidence] }
    const { read } = here
    if (kind.then === 'knownCards')
      return read.kind === 'granted'
        ? passed('Without the server the card still passed.', [away, read])
        : failed(`Without the server the card was refused: ${read.says}.`, [away, read])
    if (read.kind === 'granted') return failed('Without the server the card was let in all the same.', [away, read])
    return read.state === 'noDecision'
      ? passed(`Refused: ${read.says}.`, [away, read])
      : failed(`Refused for another reason: ${read.says}.`, [away, read])
  },
}

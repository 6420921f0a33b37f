import type { Rule } from './reading'
import { failed, find, passed, waiting } from './verdict'

/** What a lock did alone while its hub was off, as it tells once the hub is back. */
export const radioRules: { withoutRadio: Rule<'withoutRadio'> } = {
  withoutRadio: (kind, own) => {
    const online = own.find((e) => e.kind === 'granted')
    if (online)
      return failed('The controller let somebody in: the lock still had its radio. Take its hub off its power.', [
        online,
      ])
    const alone = own.find((e) => e.kind === 'notice' && e.state === 'standby' && e.card !== kind.standby)
    if (alone)
      return failed(
        `Without radio it opened to ${alone.card || 'something that no format fits'}, which is no standby credential of it.`,
        [alone],
      )
    const refused = own.find((e) => e.kind === 'refused' && e.state === 'noRadio' && e.card === kind.card)
    if (!kind.standby)
      return refused
        ? passed('Without radio the card was refused.', [refused])
        : waiting('Waiting for what the lock tells once its hub is back.')
    const barred = own.find((e) => e.kind === 'refused' && e.state === 'noRadio' && e.card === kind.standby)
    if (barred)
      return failed('Without radio it refused the standby credential: it has not taken what it was sent.', [barred])
    const opened = find(own, 'notice', 'standby')
    if (opened && refused)
      return passed('Without radio the card was refused, and the standby credential opened it.', [refused, opened])
    if (opened) return waiting('The standby credential opened it. The card was not refused yet.', [opened])
    return refused
      ? waiting('The card was refused. The standby credential is still to come.', [refused])
      : waiting('Waiting for what the lock tells once its hub is back.')
  },
}

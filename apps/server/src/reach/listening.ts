import { all, type Facts } from '@rauta/core'
import type { Heard } from '@rauta/drivers'
import type { Context } from '../context'
import { asking, remember, saysItIs } from './remember'
import { Turns } from './turns'

/** Hears devices that announce themselves: from the first time on that this job has to do with a network, and not before. */
export class Listening {
  private begun = false

  /** @param onHeard told of each once it stands on the bench, by its endpoint */
  constructor(
    private readonly context: () => Context,
    private readonly onHeard: (endpoint: string) => void,
  ) {}

  /** After a start: goes on where the job has met devices before. */
  resume(): void {
    if (metDevices(this.context().log.facts)) this.begin()
  }

  begin(): void {
    if (this.begun) return
    this.begun = true
    const context = this.context()
    // Whatever strangers greet, a device that was matched does not wait behind them, nor behind those that say they are one of the plan.
    const lanes = {
      matched: new Turns(asking.atOnce, asking.most),
      planned: new Turns(asking.strangers, asking.most),
      strangers: new Turns(asking.strangers, asking.most),
    }
    for (const protocol of context.protocols.all) {
      const hear = (device: Heard) => {
        const { lane, key } = placeOf(context.log.facts, device)
        lanes[lane].add(key, () =>
          remember(context, protocol, device, true)
            .then(() => this.onHeard(device.endpoint))
            .catch((error: Error) => context.logger.warn({ address: device.address }, `heard, but: ${error.message}`)),
        )
      }
      protocol
        .listen?.(context.dialer, hear, context.ending)
        .catch((error: Error) => context.logger.warn(`cannot listen for announcements: ${error.message}`))
    }
  }
}

const metDevices = (facts: Facts): boolean =>
  (['found', 'claim', 'reach'] as const).some((kind) => all(facts, kind).length > 0)

/** Where a greeting waits, and which one it takes the place of. */
function placeOf(facts: Facts, device: Heard): { lane: 'matched' | 'planned' | 'strangers'; key: string } {
  if (facts.found[device.endpoint]?.controller) return { lane: 'matched', key: device.endpoint }
  const planned = saysItIs(facts, device)
  return planned ? { lane: 'planned', key: planned.id } : { lane: 'strangers', key: device.endpoint }
}

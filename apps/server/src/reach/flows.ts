import { type Flow, type FlowTest } from '@rauta/core/lists'
import type { Context } from '../context'

/** Longer than a second answer of a slow device, shorter than anybody's patience, ms. */
const timeoutMs = 2000

/** Tries a flow from this computer. @throws the signal's reason where it is stopped */
export async function tryFlow({ dialer, clock }: Context, flow: Flow, signal: AbortSignal): Promise<FlowTest> {
  if (flow.test === 'time') {
    const { time, ...knocked } = await dialer.knockForTime(flow.to.address, () => clock.now(), timeoutMs, signal)
    return { ...knocked, ...(time ? { offsetMs: time.offsetMs } : {}) }
  }
  return await dialer.knock(flow.to.address, flow.port ?? 0, timeoutMs, signal)
}

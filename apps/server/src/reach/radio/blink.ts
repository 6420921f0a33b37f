import type { RadioHub } from '@rauta/core'
import { ability } from '@rauta/drivers'
import type { Context } from '../../context'
import { controllerOf, hubAddress } from './through'

/** Has a hub flash. @throws DeviceError */
export async function blinkHub(context: Context, hub: RadioHub, signal: AbortSignal): Promise<void> {
  const driver = await controllerOf(context, hub, signal)
  await ability(driver, 'blinkHub')(hubAddress(hub))
}

import { claimSteps } from '@rauta/core'
import { MalformedError, SoapFault } from '@rauta/protocols'
import type { Driver, Protocol } from '../driver'
import { listenForHello, searchSegment } from './discover'
import { onvifDriver } from './driver'
import { understood } from './session'

/** What a structure in an answer lacked, or a fault, becomes the drivers' one error, whichever call it came from. */
function inOurErrors<D extends object>(driver: D): D {
  const wrapped = Object.entries(driver).map(([name, act]: [string, unknown]) => [
    name,
    typeof act === 'function' ? guarded(act as Act) : act,
  ])
  return Object.fromEntries(wrapped) as D
}

type Act = (...args: unknown[]) => Promise<unknown>

function guarded(act: Act): Act {
  return async (...args) => {
    try {
      const value = await act(...args)
      return isWatch(value) ? inOurErrors(value) : value
    } catch (error) {
      if (error instanceof MalformedError || error instanceof SoapFault)
        return understood(() => {
          throw error
        })
      throw error
    }
  }
}

const isWatch = (value: unknown): value is object => typeof value === 'object' && value !== null && 'pull' in value

/** Devices that speak ONVIF: found by WS-Discovery, talked to by SOAP over HTTP. */
export const onvif: Protocol = {
  name: 'onvif',
  port: 80,
  driver: (options): Driver => inOurErrors(onvifDriver(options)),
  steps: claimSteps,
  search: searchSegment,
  listen: listenForHello,
}

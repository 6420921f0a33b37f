import { answers, bodies, sheetsFor, type Sweep } from '@rauta/contracts'
import type { Secret } from '@rauta/drivers'
import { addressesIn, busDeviceOf, ipv4, partDeviceId, radioDeviceOf } from '@rauta/core'
import type { Context } from '../context'
import { blinkOnBus } from '../reach/bus/blink'
import { blinkHub } from '../reach/radio/blink'
import { keepEntered, tryAgain, waitsForPassword } from '../reach/entered'
import { askAddress, search } from '../reach/search'
import { Sweeps } from '../reach/sweep'
import { fewAtOnce } from './fewAtOnce'
import { HttpProblem, type Route } from './route'

/** So many addresses are asked by hand at the same moment. */
const mostAsked = 4

/** @throws HttpProblem for one that is not known (any more) */
function standing(sweep: Sweep | null): Sweep {
  if (sweep) return sweep
  throw new HttpProblem(
    404,
    'Not here any more',
    'This search is not here any more, or the server was started again. Begin it anew.',
  )
}

/** Finding devices: all of the segment, one address, or ranges of them. */
export function reachRoutes(context: Context): Route[] {
  let searching: Promise<number> | null = null
  const asking = fewAtOnce(mostAsked, 'addresses are being asked')
  const sweeps = new Sweeps(context)
  return [
    {
      method: 'post',
      path: '/search',
      says: 'Searches the segment, or asks one address',
      roles: ['lead', 'engineer'],
      body: bodies.search,
      answer: answers.ok,
      async handle(request, response) {
        const { address } = request.body as { address?: string }
        if (address === undefined) {
          // Two people who search at the same moment are answered by one search.
          searching ??= search(context).finally(() => (searching = null))
          const count = await searching
          return {
            says: count
              ? `${count} answered.`
              : 'Nothing answered. Is this computer on the right network, and have the devices power?',
          }
        }
        if (ipv4(address) === null)
          throw new HttpProblem(
            422,
            'Not as it should be',
            `${address || 'An empty address'} is not an IPv4 address. Write four numbers with dots.`,
            'address',
          )
        await asking(response, (gone) => askAddress(context, address, gone))
        return { says: `${address} answers.` }
      },
    },
    {
      method: 'post',
      path: '/blink',
      says: 'Lets a reader on a bus flash and beep, or a hub (door `unit`, part its id) flash, so that it can be told from its neighbours',
      roles: ['lead', 'engineer'],
      body: bodies.blink,
      answer: answers.ok,
      async handle(request, response) {
        const { door, part } = request.body as { door: string; part: string }
        const { facts } = context.log
        const hub = radioDeviceOf(facts, sheetsFor(facts), partDeviceId(door, part))
        if (hub?.kind === 'hub') {
          await asking(response, (gone) => blinkHub(context, hub, gone))
          return { says: `${hub.ref} flashes now.` }
        }
        const device = busDeviceOf(facts, sheetsFor(facts), partDeviceId(door, part))
        if (!device) throw new HttpProblem(404, 'Not there', `There is no ${part} on a bus at this door.`, 'part')
        await asking(response, (gone) => blinkOnBus(context, device, gone))
        return { says: `${device.ref} flashes and beeps now.` }
      },
    },
    {
      method: 'post',
      path: '/claims/:controller/password',
      says: 'Hands over the password that somebody set on a device which opens neither to this job nor as from the factory; it is tried at once',
      roles: ['lead', 'engineer'],
      body: bodies.devicePassword,
      answer: answers.ok,
      async handle(request, _response, { name }) {
        const { user, password } = request.body as Secret
        const { facts } = context.log
        const controller = facts.controller[String(request.params['controller'])]
        const claim = controller && facts.claim[controller.id]
        if (!controller || !claim)
          throw new HttpProblem(404, 'Not there', 'This device is not being taken into service.')
        if (!waitsForPassword(claim)) throw new HttpProblem(409, 'Refused', `${controller.ref} waits for no password.`)
        await keepEntered(context, controller.id, { user: user.trim(), password })
        await context.log.append(
          'claim.entered',
          `Entered a password for ${controller.ref}`,
          (now) => tryAgain(now, controller.id),
          name,
        )
        return { says: `The password is being tried at ${controller.ref}.` }
      },
    },
    {
      method: 'post',
      path: '/sweeps',
      says: 'Begins to ask every address of ranges, such as `10.1.1.20-60, 10.1.2.0/26`',
      roles: ['lead', 'engineer'],
      body: bodies.sweep,
      answer: answers.sweep,
      async handle(request, _response, { name }) {
        const { range } = request.body as { range: string }
        const { addresses, fault } = addressesIn(range)
        if (fault) throw new HttpProblem(422, 'Not as it should be', fault, 'range')
        const { running } = sweeps
        if (running)
          throw new HttpProblem(
            409,
            'Refused',
            `${running.by} is searching: ${running.done} of ${running.total} addresses are done. Wait for it, or have it stopped.`,
          )
        return sweeps.start(addresses, name)
      },
    },
    {
      method: 'get',
      path: '/sweeps',
      says: 'The search of ranges that is under way, if any',
      roles: ['lead', 'engineer'],
      answer: { type: 'object', required: ['running'], properties: { running: { type: ['object', 'null'] } } },
      handle: async () => ({ running: sweeps.running }),
    },
    {
      method: 'get',
      path: '/sweeps/:id',
      says: 'How far a search of ranges is',
      roles: ['lead', 'engineer'],
      answer: answers.sweep,
      handle: async (request) => standing(sweeps.of(String(request.params['id']))),
    },
    {
      method: 'post',
      path: '/sweeps/:id/stop',
      says: 'Stops a search of ranges where it is',
      roles: ['lead', 'engineer'],
      answer: answers.sweep,
      handle: async (request) => standing(sweeps.stop(String(request.params['id']))),
    },
    {
      method: 'post',
      path: '/sweeps/:id/go-on',
      says: 'Goes on with a search of ranges that was stopped',
      roles: ['lead', 'engineer'],
      answer: answers.sweep,
      async handle(request) {
        const { running } = sweeps
        if (running && running.id !== request.params['id'])
          throw new HttpProblem(409, 'Refused', `${running.by} is searching. Wait for it, or have it stopped.`)
        return standing(sweeps.goOn(String(request.params['id'])))
      },
    },
  ]
}

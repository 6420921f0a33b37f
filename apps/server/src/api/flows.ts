import type { Request } from 'express'
import { answers, bodies, sheetsFor } from '@rauta/contracts'
import { flowIsOpen, flowTestSays, networkFlows, screensAt } from '@rauta/core/lists'
import { jobOf, usualLimits } from '@rauta/core'
import type { Context } from '../context'
import type { LanFacts } from '../lan/facts'
import { tryFlow } from '../reach/flows'
import { fewAtOnce } from './fewAtOnce'
import { originOf } from './prints'
import { everyone, HttpProblem, type Route } from './route'

/** So many are tried at the same moment, whoever asks. */
const mostTried = 8

/** What the client's IT must let through, and whether it does. Only what the job itself asks for is ever tried. */
export function flowRoutes(context: Context, lan: () => LanFacts | null): Route[] {
  const { log } = context
  const trying = fewAtOnce(mostTried, 'lines are being tried')
  const flows = (request: Request) => networkFlows(log.facts, sheetsFor(log.facts), screensAt(originOf(request, lan())))
  return [
    {
      method: 'get',
      path: '/flows',
      says: 'What the client’s IT must let through, worked out from the job',
      roles: everyone,
      answer: answers.flows,
      handle: async (request) => ({ flows: flows(request) }),
    },
    {
      method: 'post',
      path: '/flows/test',
      says: 'Tries one of them from this computer: open, refused, silent, or no way there',
      roles: ['lead', 'engineer'],
      body: bodies.flowTest,
      answer: answers.flowTest,
      async handle(request, response) {
        const { id } = request.body as { id: string }
        const flow = flows(request).find((f) => f.id === id)
        if (!flow)
          throw new HttpProblem(404, 'Not found', 'The job asks for no such line any more. Look at the list again.')
        if (!flow.test)
          throw new HttpProblem(
            409,
            'Refused',
            flow.fault ?? 'This can’t be tried from this computer: only the device itself could.',
          )
        const clockS = jobOf(log.facts)?.limits.clockS ?? usualLimits.clockS
        const test = await trying(response, (gone) => tryFlow(context, flow, AbortSignal.any([gone, context.ending])))
        return { ...test, open: flowIsOpen(flow, test, clockS), says: flowTestSays(flow, test, clockS) }
      },
    },
  ]
}

import { answers, bodies } from '@rauta/contracts'
import { ipv4 } from '@rauta/core'
import type { Context } from '../context'
import { askAddress, search } from '../reach/search'
import { HttpProblem, type Route } from './route'

/** So many addresses are asked by hand at the same moment. */
const mostAsked = 4

/** Finding devices: all of the segment, or one address. */
export function reachRoutes(context: Context): Route[] {
  let searching: Promise<number> | null = null
  let asked = 0
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
        if (asked >= mostAsked)
          throw new HttpProblem(
            429,
            'Too many at once',
            `${asked} addresses are being asked already. Wait for one of them.`,
          )
        const gone = new AbortController()
        response.on('close', () => gone.abort())
        asked += 1
        try {
          await askAddress(context, address, gone.signal)
        } finally {
          asked -= 1
        }
        return { says: `${address} answers.` }
      },
    },
  ]
}

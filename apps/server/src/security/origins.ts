import type { RequestHandler } from 'express'
import { HttpProblem } from '../api/route'
import type { LanFacts } from '../lan/facts'

const loopback = new Set(['127.0.0.1', 'localhost', '[::1]'])

/**
 * Requests under a name of this server's own alone, and from pages of its own: a stranger's name that leads here
 * (rebinding), and a page of another program on this computer, get nothing.
 */
export function ownOrigins(lan: () => LanFacts | null): RequestHandler {
  return (request, _response, next) => {
    const { host = '', origin } = request.headers
    const name = host.replace(/:\d+$/, '').toLowerCase()
    const facts = lan()
    const known =
      loopback.has(name) ||
      (facts !== null && (new URL(facts.origin).hostname === name || facts.addresses.includes(name)))
    if (!known) {
      next(
        new HttpProblem(421, 'Another name', 'Rauta is not called so here. Open it under the address that it printed.'),
      )
      return
    }
    if (origin !== undefined && request.method !== 'GET' && origin !== `${request.protocol}://${host}`) {
      next(new HttpProblem(403, 'Another page', 'This comes from a page that is not Rauta’s.'))
      return
    }
    next()
  }
}

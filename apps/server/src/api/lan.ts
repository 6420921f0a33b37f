import { answers } from '@rauta/contracts'
import type { LanFacts } from '../lan/facts'
import { codeSvg } from '../lan/trust'
import { everyone, HttpProblem, type Route } from './route'

/** How phones reach this computer over the local network. */
export function lanRoutes(lan: () => LanFacts | null): Route[] {
  return [
    {
      method: 'get',
      path: '/lan',
      says: 'Where phones reach this computer, null while it serves itself only',
      roles: everyone,
      answer: answers.lan,
      handle: async () => ({ lan: lan() }),
    },
    {
      method: 'get',
      path: '/lan/code.svg',
      says: 'A code that opens the page by which a phone comes to trust this job',
      roles: everyone,
      answer: { media: 'image/svg+xml' },
      async handle(_request, response) {
        const facts = lan()
        if (!facts) throw new HttpProblem(404, 'Not found', 'This computer serves itself only. Start Rauta with --lan.')
        response.type('image/svg+xml').send(codeSvg(facts.trust))
      },
    },
  ]
}

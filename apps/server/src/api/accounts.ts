import { answers, bodies, type Role } from '@rauta/contracts'
import type { JobLog } from '../changes/log'
import type { LiveStream } from '../live/stream'
import type { Accounts } from '../security/accounts'
import { checkPassword, noting } from './noting'
import { everyone, HttpProblem, type Route } from './route'

/** Who may sign in: added, given another role or password, and ended, by the lead. */
export function accountRoutes(accounts: Accounts, stream: LiveStream, log: JobLog): Route[] {
  const note = noting(log)
  return [
    {
      method: 'get',
      path: '/accounts',
      says: 'Who may sign in',
      roles: everyone,
      answer: answers.accounts,
      handle: () => accounts.list(),
    },
    {
      method: 'post',
      path: '/accounts',
      says: 'Adds an account',
      roles: ['lead'],
      body: bodies.account,
      answer: answers.ok,
      async handle(request, _response, account) {
        const { name, password, role } = request.body as {
          name: string
          password: string
          role: 'lead' | 'engineer' | 'witness' | 'viewer'
        }
        await checkPassword(name, password)
        if (!(await accounts.add(name, password, role)))
          throw new HttpProblem(409, 'Refused', `There is an account called ${name} already.`, 'name')
        await note('account', `Added the account ${name}, ${role}`, account.name)
        return { says: `${name} may sign in as ${role}.` }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/role',
      says: 'Gives an account another role',
      roles: ['lead'],
      body: bodies.role,
      answer: answers.ok,
      async handle(request, _response, account) {
        const name = String(request.params['name'])
        const { role } = request.body as { role: Role }
        refuse(await accounts.setRole(name, role), name)
        await note('account', `Made ${name} a ${role}`, account.name)
        return { says: `${name} may sign in as ${role}.` }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/password',
      says: 'Gives an account a new password; whoever is signed in with it is signed out',
      roles: ['lead'],
      body: bodies.newPassword,
      answer: answers.ok,
      async handle(request, _response, account) {
        const name = String(request.params['name'])
        const { password } = request.body as { password: string }
        await checkPassword(name, password)
        if (!(await accounts.setPassword(name, password))) refuse('unknown', name)
        stream.endFor(name)
        await note('account', `Gave ${name} a new password`, account.name)
        return { says: `${name} signs in with the new password from now on.` }
      },
    },
    {
      method: 'post',
      path: '/accounts/:name/end',
      says: 'Ends an account; what was recorded with it stays',
      roles: ['lead'],
      answer: answers.ok,
      async handle(request, _response, account) {
        const name = String(request.params['name'])
        if (name === account.name)
          throw new HttpProblem(409, 'Refused', 'Nobody ends their own account. Let another lead do it.')
        refuse(await accounts.end(name), name)
        stream.endFor(name)
        await note('account', `Ended the account ${name}`, account.name)
        return { says: `${name} can no longer sign in. What ${name} recorded stays.` }
      },
    },
  ]
}

/** @throws HttpProblem where an account could not be altered */
function refuse(outcome: 'set' | 'ended' | 'unknown' | 'last lead', name: string): void {
  if (outcome === 'unknown') throw new HttpProblem(404, 'Not found', `There is no account ${name}.`)
  if (outcome === 'last lead')
    throw new HttpProblem(409, 'Refused', `${name} is the only lead. Make somebody else a lead first.`)
}

import { answers } from '@rauta/contracts'
import type { Context } from '../context'
import type { LanFacts } from '../lan/facts'
import { renewPasswords } from '../reach/passwords'
import { changeJobKey } from '../security/jobKey'
import { changeSealingKey } from '../security/openVault'
import { HttpProblem, type Route } from './route'

export interface KeyParts {
  context: Context
  keyFile: string
  /** Null where this computer serves itself only. */
  renewAuthority: () => Promise<LanFacts | null>
}

/** Changing keys and passwords: each on purpose, by the lead, and noted. */
export function keyRoutes({ context, keyFile, renewAuthority }: KeyParts): Route[] {
  const { log, vault, clock } = context
  let changing = false
  /** One at a time: two changes of the same key would each put the other's aside. */
  const alone = async <T>(work: () => Promise<T>): Promise<T> => {
    if (changing) throw new HttpProblem(409, 'At work', 'A key is being changed already. Wait until that is done.')
    changing = true
    try {
      return await work()
    } finally {
      changing = false
    }
  }
  const route = (what: string, says: string, change: (by: string) => Promise<string>): Route => ({
    method: 'post',
    path: `/keys/${what}`,
    says,
    roles: ['lead'],
    answer: answers.ok,
    handle: (_request, _response, { name }) =>
      alone(async () => {
        const told = await change(name)
        await log.note('keys', told, name)
        return { says: told }
      }),
  })
  return [
    route('sealing', 'Seals passwords and keys under a new key file', async () => {
      const aside = await changeSealingKey(vault, keyFile, clock.now())
      return `Everything is sealed under a new key. The one until now lies in ${aside}: backups from before open with it alone.`
    }),
    route('job', 'Gives the job a new signing key, which the one until now hands over to', async (by) => {
      const key = await changeJobKey(log, vault, by)
      return `Records are signed with a new key from now on: ${key}. The one printed before leads on to it.`
    }),
    route('authority', 'Makes another authority for phones on the local network', async () => {
      const facts = await renewAuthority()
      if (!facts) throw new HttpProblem(409, 'Refused', 'This computer serves itself only. Start Rauta with --lan.')
      return `Another authority is in place: every phone has to be told to trust it. Its fingerprint is ${facts.fingerprint}.`
    }),
    {
      method: 'post',
      path: '/keys/devices',
      says: 'Gives every device in service a new password, one by one, each proved by opening it',
      roles: ['lead'],
      answer: answers.renewed,
      handle: (_request, _response, { name }) =>
        alone(async () => {
          const devices = await renewPasswords(context)
          const left = devices.filter((d) => !d.ok).map((d) => d.ref)
          const says = `${devices.length - left.length} of ${devices.length} devices have a new password${left.length ? `; not ${left.join(', ')}` : ''}.`
          await log.note('keys', says, name)
          return { says, devices }
        }),
    },
  ]
}

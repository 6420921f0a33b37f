import { isAbsolute } from 'node:path'
import type { Request } from 'express'
import { answers, bodies } from '@rauta/contracts'
import { sameSecret } from '../security/sameSecret'
import { backedUpWords, BackupError, layReady, restoredWords, writeBackup } from '../store/backup'
import type { Store } from '../store/open'
import { HttpProblem, type Route } from './route'

export interface Keeping {
  store: Store
  folder: string
  /** Stands in a file that only the owner of the data folder can read. */
  token: string
  /** Starts anew from what was laid ready. */
  startAnew: () => void
}

/** Backup and restore for whoever owns the data folder: asked for from this computer, with the token that lies in it. */
export function keepRoutes({ store, folder, token, startAnew }: Keeping): Route[] {
  const check = (request: Request): string => {
    const given = /^Bearer (.+)$/.exec(request.headers.authorization ?? '')?.[1] ?? ''
    if (!sameSecret(given, token))
      throw new HttpProblem(403, 'Not allowed', 'Only the owner of the data folder may do this, from its computer.')
    const { file } = request.body as { file: string }
    if (!isAbsolute(file))
      throw new HttpProblem(422, 'Not as it should be', 'Write the whole path of the file.', 'file')
    return file
  }
  const told = async (work: Promise<string>) => {
    try {
      return { says: await work }
    } catch (error) {
      if (error instanceof BackupError) throw new HttpProblem(409, 'Not done', error.message)
      throw error
    }
  }
  return [
    {
      method: 'post',
      path: '/keep/backup',
      says: 'Writes a backup of the whole store to a file on this computer',
      roles: 'anyone',
      littleRoom: true,
      body: bodies.keep,
      answer: answers.ok,
      takes: () => 'Took a backup of everything, from this computer',
      async handle(request) {
        const file = check(request)
        return told(writeBackup(store, folder, file).then((made) => backedUpWords(file, made)))
      },
    },
    {
      method: 'post',
      path: '/keep/restore',
      says: 'Lays a backup ready, looks whether it opens, and starts anew from it',
      roles: 'anyone',
      body: bodies.keep,
      answer: answers.ok,
      async handle(request, response) {
        const file = check(request)
        const answer = await told(layReady(folder, file).then(restoredWords))
        response.once('finish', startAnew)
        return answer
      },
    },
  ]
}

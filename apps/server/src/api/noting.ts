import type { Trace } from '../changes/entry'
import type { JobLog } from '../changes/log'
import { weakness } from '../security/weakness'
import { StoreFullError } from '../store/room'
import { HttpProblem } from './route'

/** Notes what people do with accounts and sessions. A full disk keeps nobody from signing in or out. */
export const noting =
  (log: JobLog) =>
  async (name: Trace, says: string, by: string): Promise<void> => {
    try {
      await log.note(name, says, by)
    } catch (error) {
      if (!(error instanceof StoreFullError)) throw error
    }
  }

/** @throws HttpProblem for a password that is too easily guessed */
export async function checkPassword(name: string, password: string): Promise<void> {
  const weak = await weakness(name, password)
  if (weak) throw new HttpProblem(422, 'Not as it should be', weak, 'password')
}

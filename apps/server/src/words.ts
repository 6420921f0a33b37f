import { UnreachableError } from '@rauta/drivers'
import { MalformedError, SoapFault } from '@rauta/protocols'

/** Any failure of talking to a device, told for a fitter. */
export function failureWords(error: unknown, who: string): string {
  if (error instanceof UnreachableError) return error.says
  if (error instanceof SoapFault)
    return error.notAuthorized ? `${who} refuses the secret: ${error.reason}` : `${who} refused: ${error.reason}`
  if (error instanceof MalformedError) return `${who} answered something that cannot be understood: ${error.says}`
  return `${who}: ${(error as Error).message}`
}

/** True where the device may come back by itself: silence is told apart from a refusal. */
export const maybeBack = (error: unknown): boolean =>
  error instanceof UnreachableError && error.why !== 'no address in that subnet'

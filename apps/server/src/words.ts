import { DeviceError, type DeviceErrorCode } from '@rauta/drivers'

const refusals: Partial<Record<DeviceErrorCode, string>> = {
  notAuthorized: 'refuses the password',
  refused: 'refused',
  malformed: 'answered something that cannot be understood',
}

/** Any failure of talking to a device, told for a fitter. */
export function failureWords(error: unknown, who: string): string {
  if (!(error instanceof DeviceError)) return `${who}: ${(error as Error).message}`
  const said = refusals[error.code]
  return said ? `${who} ${said}: ${error.says}` : error.says
}

/** True where the device may come back by itself: silence is told apart from a refusal. */
export const maybeBack = (error: unknown): boolean => error instanceof DeviceError && error.maybeBack

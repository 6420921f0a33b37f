/** Why talking to a device came to nothing. */
export type DeviceErrorCode =
  /** This computer has no address in the device's subnet. */
  | 'noAddress'
  /** It was reached, and it closed the door on the connection. */
  | 'connectionRefused'
  | 'silent'
  /** The connection broke before the answer was there: whether it did what it was asked is not known. */
  | 'lost'
  /** Somebody here stopped it. */
  | 'stopped'
  /** The password is wrong or missing. */
  | 'notAuthorized'
  /** Another device answers at its address than the one that was meant. */
  | 'another'
  /** It understood and would not. */
  | 'refused'
  /** What came was not what was asked for. */
  | 'malformed'
  /** Several answer at once, or noise does. */
  | 'garbled'
  /** What it sends does not come to an end. */
  | 'endless'
  /** It answers so slowly that the whole did not get done in its time. */
  | 'slow'
  /** Its driver cannot do this at all. */
  | 'unsupported'

/** The one error of every driver: a code that decides, and words of the device or of this side that tell. */
export class DeviceError extends Error {
  constructor(
    readonly code: DeviceErrorCode,
    readonly says: string,
    options?: ErrorOptions,
  ) {
    super(says, options)
  }

  /** True where the device may come back by itself: silence is told apart from a refusal. */
  get maybeBack(): boolean {
    return ['silent', 'lost', 'connectionRefused', 'stopped', 'slow'].includes(this.code)
  }
}

export const hasCode = (error: unknown, code: DeviceErrorCode): boolean =>
  error instanceof DeviceError && error.code === code

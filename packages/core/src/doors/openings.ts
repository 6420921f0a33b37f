import type { OpeningKind } from './door'

/** How an opening is called on screen and in files. */
export const openingWords: Readonly<Record<OpeningKind, string>> = {
  door: 'Door',
  doubleDoor: 'Double door',
  gate: 'Gate',
  shutter: 'Shutter',
  turnstile: 'Turnstile',
  cabinet: 'Cabinet',
  locker: 'Locker',
  padlock: 'Padlock',
  liftCall: 'Lift call',
}

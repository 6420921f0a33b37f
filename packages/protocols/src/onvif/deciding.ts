import type { Element, Markup } from '../xml'
import { el, MalformedError, needed, textOf } from '../xml'

/** What a client answers to `Request/Credential`. */
export interface Authorization {
  accessPoint: string
  credential: string
  granted: boolean
  /** Why not; empty where it is granted. */
  reason: string
}

/** ExternalAuthorization of the ONVIF access control specification (from memory). */
export const externalAuthorization = {
  write: ({ accessPoint, credential, granted, reason }: Authorization): Markup =>
    el(
      'tac:ExternalAuthorization',
      el('tac:AccessPointToken', accessPoint),
      el('tac:CredentialToken', credential),
      reason ? el('tac:Reason', reason) : null,
      el('tac:Decision', granted ? 'Granted' : 'Denied'),
    ),
  read(e: Element): Authorization {
    const decision = needed(e, 'Decision')
    if (decision !== 'Granted' && decision !== 'Denied') throw new MalformedError(`${decision} is no decision.`)
    return {
      accessPoint: needed(e, 'AccessPointToken'),
      credential: needed(e, 'CredentialToken'),
      granted: decision === 'Granted',
      reason: textOf(e, 'Reason'),
    }
  },
}

/** Extension: who decides at a door tells that it is there. */
export const announceDecider = {
  write: (door: string): Markup => el('cx:AnnounceDecider', el('cx:Token', door)),
  read: (e: Element): string => needed(e, 'Token'),
}

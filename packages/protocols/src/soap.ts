import { declarationsFor, namespaces } from './namespaces'
import type { Element, Markup } from './xml'
import { child, el, elements, MalformedError, parseXml, textOf } from './xml'
import type { UsernameToken } from './wsse'

/** A fault that the other side answered with, as a value that can be told. */
export class SoapFault extends Error {
  constructor(
    readonly code: string,
    readonly subcode: string,
    readonly reason: string,
  ) {
    super(reason)
  }
  /** True for a wrong or missing secret. */
  get notAuthorized(): boolean {
    return this.subcode.endsWith('NotAuthorized')
  }
}

/** A SOAP 1.2 envelope around a body, with a username token where one is given. */
export function envelope(body: Markup | Markup[], token?: UsernameToken, extraHeader: Markup[] = []): string {
  const header = [
    ...extraHeader,
    ...(token
      ? [
          el(
            'wsse:Security',
            { 's:mustUnderstand': '1' },
            el(
              'wsse:UsernameToken',
              el('wsse:Username', token.username),
              el(
                'wsse:Password',
                {
                  Type: 'http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-username-token-profile-1.0#PasswordDigest',
                },
                token.digest,
              ),
              el(
                'wsse:Nonce',
                {
                  EncodingType:
                    'http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-soap-message-security-1.0#Base64Binary',
                },
                token.nonce,
              ),
              el('wsu:Created', token.created),
            ),
          ),
        ]
      : []),
  ]
  const content = [header.length ? el('s:Header', header) : null, el('s:Body', body)]
  return `<?xml version="1.0" encoding="UTF-8"?>${el('s:Envelope', declarationsFor(content.map((c) => c?.xml ?? '').join('')), content).xml}`
}

export function faultEnvelope(code: 'Sender' | 'Receiver', subcode: string, reason: string): string {
  return envelope(
    el(
      's:Fault',
      el('s:Code', el('s:Value', `s:${code}`), el('s:Subcode', el('s:Value', subcode))),
      el('s:Reason', el('s:Text', { 'xml:lang': 'en' }, reason)),
    ),
  )
}

export interface Opened {
  /** First element of the body. */
  body: Element
  header: Element | null
  token: UsernameToken | null
}

/** Opens an envelope. @throws MalformedError where it is none, SoapFault where it carries a fault */
export function openEnvelope(text: string): Opened {
  const root = parseXml(text)
  if (root.localName !== 'Envelope' || root.namespaceURI !== namespaces.s)
    throw new MalformedError('The answer is not a SOAP 1.2 envelope.')
  const body = elements(child(root, 'Body') ?? root)[0]
  if (!body) throw new MalformedError('The SOAP body is empty.')
  if (body.localName === 'Fault') {
    const subcode = textOf(body, 'Code', 'Subcode', 'Subcode', 'Value') || textOf(body, 'Code', 'Subcode', 'Value')
    throw new SoapFault(textOf(body, 'Code', 'Value'), subcode, textOf(body, 'Reason', 'Text') || 'no reason given')
  }
  const header = child(root, 'Header')
  const token = child(header, 'Security', 'UsernameToken')
  return {
    body,
    header,
    token: token
      ? {
          username: textOf(token, 'Username'),
          digest: textOf(token, 'Password'),
          nonce: textOf(token, 'Nonce'),
          created: textOf(token, 'Created'),
        }
      : null,
  }
}

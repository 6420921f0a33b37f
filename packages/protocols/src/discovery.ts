import { MalformedError, child, el, parseXml, textOf } from './xml'

/** WS-Discovery (2005/04), as ONVIF uses it: SOAP 1.2 over UDP multicast. */
export const discoveryGroup = '239.255.255.250'
export const discoveryPort = 3702
const wsd = 'http://schemas.xmlsoap.org/ws/2005/04/discovery'
const wsa = 'http://schemas.xmlsoap.org/ws/2004/08/addressing'
const anonymous = `${wsa}/role/anonymous`
const attributes = {
  'xmlns:s': 'http://www.w3.org/2003/05/soap-envelope',
  'xmlns:d': wsd,
  'xmlns:a': wsa,
  'xmlns:dn': 'http://www.onvif.org/ver10/network/wsdl',
  'xmlns:tds': 'http://www.onvif.org/ver10/device/wsdl',
}

export interface Announcement {
  /** `urn:uuid:…`, lasting for the device. */
  endpoint: string
  types: string
  scopes: string[]
  xaddrs: string[]
}

type Header = { action: string; id: string; relatesTo?: string; to?: string }

function message(header: Header, body: ReturnType<typeof el>): string {
  return `<?xml version="1.0" encoding="UTF-8"?>${
    el(
      's:Envelope',
      attributes,
      el(
        's:Header',
        el('a:Action', `${wsd}/${header.action}`),
        el('a:MessageID', header.id),
        header.relatesTo ? el('a:RelatesTo', header.relatesTo) : null,
        el('a:To', header.to ?? 'urn:schemas-xmlsoap-org:ws:2005:04:discovery'),
      ),
      el('s:Body', body),
    ).xml
  }`
}

export function probe(messageId: string): string {
  return message({ action: 'Probe', id: messageId }, el('d:Probe', el('d:Types', 'tds:Device')))
}

const announced = (a: Announcement) => [
  el('a:EndpointReference', el('a:Address', a.endpoint)),
  el('d:Types', a.types),
  el('d:Scopes', a.scopes.join(' ')),
  el('d:XAddrs', a.xaddrs.join(' ')),
  el('d:MetadataVersion', 1),
]

export function probeMatch(messageId: string, relatesTo: string, a: Announcement): string {
  return message(
    { action: 'ProbeMatches', id: messageId, relatesTo, to: anonymous },
    el('d:ProbeMatches', el('d:ProbeMatch', announced(a))),
  )
}

export function hello(messageId: string, a: Announcement): string {
  return message({ action: 'Hello', id: messageId }, el('d:Hello', announced(a)))
}

export function bye(messageId: string, endpoint: string): string {
  return message({ action: 'Bye', id: messageId }, el('d:Bye', el('a:EndpointReference', el('a:Address', endpoint))))
}

export type DiscoveryMessage =
  | { kind: 'probe'; messageId: string; types: string }
  | { kind: 'match' | 'hello'; relatesTo: string; announcement: Announcement }
  | { kind: 'bye'; endpoint: string }

/** Reads one datagram. @throws MalformedError */
export function readDiscovery(text: string): DiscoveryMessage {
  const root = parseXml(text)
  const header = child(root, 'Header')
  const body = child(root, 'Body')
  const probeElement = child(body, 'Probe')
  if (probeElement)
    return { kind: 'probe', messageId: textOf(header, 'MessageID'), types: textOf(probeElement, 'Types') }
  const byeElement = child(body, 'Bye')
  if (byeElement) return { kind: 'bye', endpoint: textOf(byeElement, 'EndpointReference', 'Address') }
  const match = child(body, 'ProbeMatches', 'ProbeMatch')
  const element = match ?? child(body, 'Hello')
  if (!element) throw new MalformedError('This is no discovery message.')
  const words = (text_: string) => text_.split(/\s+/).filter(Boolean)
  return {
    kind: match ? 'match' : 'hello',
    relatesTo: textOf(header, 'RelatesTo'),
    announcement: {
      endpoint: textOf(element, 'EndpointReference', 'Address'),
      types: textOf(element, 'Types'),
      scopes: words(textOf(element, 'Scopes')),
      xaddrs: words(textOf(element, 'XAddrs')),
    },
  }
}

/** Whether a device of these types answers a probe: an empty probe asks for everything, prefixes are set aside. */
export function typesMatch(asked: string, own: readonly string[]): boolean {
  const wanted = asked
    .split(/\s+/)
    .filter(Boolean)
    .map((t) => t.split(':').at(-1))
  return wanted.every((t) => own.includes(t ?? ''))
}

/** Value of an ONVIF scope, decoded: `name`, `hardware`, `MAC`. */
export function scopeValue(scopes: readonly string[], key: string): string {
  const prefix = `onvif://www.onvif.org/${key}/`
  const scope = scopes.find((s) => s.startsWith(prefix))
  return scope ? decoded(scope.slice(prefix.length)) : ''
}
/** As it came where its escapes are broken: anybody may send anything to a multicast group. */
function decoded(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}
export const scope = (key: string, value: string): string => `onvif://www.onvif.org/${key}/${encodeURIComponent(value)}`

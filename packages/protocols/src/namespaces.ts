/** Namespaces of the published ONVIF, WS-* and SOAP specifications, by the prefix we write. */
export const namespaces = {
  s: 'http://www.w3.org/2003/05/soap-envelope',
  wsse: 'http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-wssecurity-secext-1.0.xsd',
  wsu: 'http://docs.oasis-open.org/wss/2004/01/oasis-200401-wss-wssecurity-utility-1.0.xsd',
  wsa: 'http://www.w3.org/2005/08/addressing',
  wsnt: 'http://docs.oasis-open.org/wsn/b-2',
  tt: 'http://www.onvif.org/ver10/schema',
  pt: 'http://www.onvif.org/ver10/pacs',
  ter: 'http://www.onvif.org/ver10/error',
  tns1: 'http://www.onvif.org/ver10/topics',
  tds: 'http://www.onvif.org/ver10/device/wsdl',
  tmd: 'http://www.onvif.org/ver10/deviceIO/wsdl',
  tac: 'http://www.onvif.org/ver10/accesscontrol/wsdl',
  tdc: 'http://www.onvif.org/ver10/doorcontrol/wsdl',
  tcr: 'http://www.onvif.org/ver10/credential/wsdl',
  tar: 'http://www.onvif.org/ver10/accessrules/wsdl',
  tsc: 'http://www.onvif.org/ver10/schedule/wsdl',
  tev: 'http://www.onvif.org/ver10/events/wsdl',
  /** The vendor-neutral extension, documented in docs/protocol.md. */
  cx: 'urn:access-commissioning-extension:2',
} as const

export type ServicePrefix = 'tds' | 'tmd' | 'tac' | 'tdc' | 'tcr' | 'tar' | 'tsc' | 'tev' | 'cx'

/** Path of each service on a device; a client learns them from GetServices. */
export const servicePaths: Readonly<Record<ServicePrefix, string>> = {
  tds: '/onvif/device_service',
  tmd: '/onvif/device_io',
  tac: '/onvif/access_control',
  tdc: '/onvif/door_control',
  tcr: '/onvif/credential',
  tar: '/onvif/access_rules',
  tsc: '/onvif/schedule',
  tev: '/onvif/event',
  cx: '/onvif/extension',
}

/** Declarations of the prefixes that `xml` uses, in names or as the start of a text: each one costs the reader time. */
export function declarationsFor(xml: string): Record<string, string> {
  const used = new Set(['s'])
  for (const [, prefix] of xml.matchAll(/(?<![\w.-])([a-z][a-z0-9]*):(?!\/\/)/g)) if (prefix) used.add(prefix)
  return Object.fromEntries(
    Object.entries(namespaces)
      .filter(([prefix]) => used.has(prefix))
      .map(([prefix, uri]) => [`xmlns:${prefix}`, uri]),
  )
}

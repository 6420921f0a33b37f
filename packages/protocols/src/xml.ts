import { DOMParser, type Document, type Element } from '@xmldom/xmldom'

/** Something that is not the XML it should be; `says` is for people. */
export class MalformedError extends Error {
  constructor(readonly says: string) {
    super(says)
  }
}

/** Largest body that is read, bytes. */
export const largestBody = 1_000_000

/** Parses a document. @throws MalformedError for anything not well formed, too large, or with a DOCTYPE */
export function parseXml(text: string): Element {
  if (text.length > largestBody) throw new MalformedError('The message is too large.')
  if (/<!DOCTYPE/i.test(text)) throw new MalformedError('The message has a DOCTYPE, which is not allowed.')
  let document: Document
  try {
    document = new DOMParser({ onError: (level, message) => { if (level !== 'warning') throw new Error(message) } }).parseFromString(text, 'text/xml')
  } catch (error) {
    throw new MalformedError(`The message is not XML: ${String((error as Error).message).split('\n')[0]}`)
  }
  const root = document.documentElement
  if (!root) throw new MalformedError('The message is empty.')
  return root
}

export function elements(parent: Element, local?: string): Element[] {
  const found: Element[] = []
  for (let node = parent.firstChild; node; node = node.nextSibling) {
    if (node.nodeType === 1 && (!local || (node as Element).localName === local)) found.push(node as Element)
  }
  return found
}

/** First child with this local name, following a path of names. */
export function child(parent: Element | null, ...path: string[]): Element | null {
  let at: Element | null = parent
  for (const name of path) at = at ? (elements(at, name)[0] ?? null) : null
  return at
}

export function textOf(parent: Element | null, ...path: string[]): string {
  return child(parent, ...path)?.textContent?.trim() ?? ''
}

/** Text that must be there. @throws MalformedError naming the element that is missing */
export function needed(parent: Element | null, ...path: string[]): string {
  const found = child(parent, ...path)
  if (!found) throw new MalformedError(`${path.join('/')} is missing in ${parent?.localName ?? 'the message'}.`)
  return found.textContent?.trim() ?? ''
}

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
// Control characters have no place in XML 1.0; a device must not be able to break a message with one.
// eslint-disable-next-line no-control-regex
export const escapeXml = (text: string): string => text.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, '').replace(/[&<>"]/g, (c) => escapes[c] ?? c)

type Content = string | number | boolean | Markup | null | undefined | Content[]
/** XML that is already escaped. */
export class Markup {
  constructor(readonly xml: string) {}
}

/** One element: `el('tt:Name', {token: 'a'}, 'text', el(...))`. Text is escaped. */
export function el(name: string, ...content: (Content | Record<string, string>)[]): Markup {
  let attributes = ''
  let inner = ''
  for (const item of content) {
    if (item !== null && typeof item === 'object' && !Array.isArray(item) && !(item instanceof Markup)) {
      attributes += Object.entries(item).map(([k, v]) => ` ${k}="${escapeXml(v)}"`).join('')
    } else inner += flat(item as Content)
  }
  return new Markup(inner === '' ? `<${name}${attributes}/>` : `<${name}${attributes}>${inner}</${name}>`)
}

function flat(content: Content): string {
  if (content === null || content === undefined) return ''
  if (Array.isArray(content)) return content.map(flat).join('')
  return content instanceof Markup ? content.xml : escapeXml(String(content))
}

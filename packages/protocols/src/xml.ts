import { SaxesParser } from 'saxes'

/** Something that is not the XML it should be; `says` is for people. */
export class MalformedError extends Error {
  constructor(readonly says: string) {
    super(says)
  }
}

/** Largest body that is read, bytes. */
export const largestBody = 1_000_000

/** An element with its namespace resolved. Text and children are kept apart: none of our messages mixes them. */
export class Element {
  readonly children: Element[] = []
  text = ''
  constructor(
    readonly localName: string,
    readonly namespaceURI: string,
    private readonly attributes: Readonly<Record<string, string>>,
  ) {}

  /** By its name as written; null where it is absent. */
  getAttribute(name: string): string | null {
    return Object.hasOwn(this.attributes, name) ? (this.attributes[name] ?? null) : null
  }
  /** All text in it and under it. */
  get textContent(): string {
    return this.children.length === 0 ? this.text : this.text + this.children.map((c) => c.textContent).join('')
  }
}

/** More than any message of ours has, and few enough that the reader's time stays in proportion to what came. */
const limits = { depth: 64, elements: 20_000, attributes: 64, name: 200 }

/** Parses a document. @throws MalformedError for anything not well formed, too large, too deep, or with a DOCTYPE */
export function parseXml(text: string): Element {
  if (text.length > largestBody) throw new MalformedError('The message is too large.')
  const parser = new SaxesParser({ xmlns: true, position: false })
  const open: Element[] = []
  let root: Element | null = null
  parser.on('doctype', () => {
    throw new MalformedError('The message has a DOCTYPE, which is not allowed.')
  })
  parser.on('error', (error) => {
    throw new MalformedError(`The message is not XML: ${error.message}`)
  })
  let elements = 0
  let attributes = 0
  const within = (n: number, most: number, what: string) => {
    if (n > most) throw new MalformedError(`The message has ${what}: more than ${most} are not read.`)
  }
  // Told before names are resolved, which goes through every level: a deep message must end here.
  parser.on('opentagstart', (tag) => {
    elements += 1
    attributes = 0
    within(open.length + 1, limits.depth, 'elements too deep in one another')
    within(elements, limits.elements, 'too many elements')
    within(tag.name.length, limits.name, 'a name of too many letters')
  })
  parser.on('attribute', () => {
    attributes += 1
    within(attributes, limits.attributes, 'too many attributes in one element')
  })
  parser.on('opentag', (tag) => {
    const element = new Element(
      tag.local,
      tag.uri,
      Object.fromEntries(Object.entries(tag.attributes).map(([name, a]) => [name, a.value])),
    )
    open.at(-1)?.children.push(element)
    root ??= element
    open.push(element)
  })
  parser.on('closetag', () => {
    open.pop()
  })
  const add = (more: string) => {
    const at = open.at(-1)
    if (at) at.text += more
  }
  parser.on('text', add)
  parser.on('cdata', add)
  parser.write(text).close()
  if (!root) throw new MalformedError('The message is empty.')
  return root
}

export function elements(parent: Element, local?: string): Element[] {
  return local ? parent.children.filter((c) => c.localName === local) : parent.children
}

/** First child with this local name, following a path of names. */
export function child(parent: Element | null, ...path: string[]): Element | null {
  let at: Element | null = parent
  for (const name of path) at = at?.children.find((c) => c.localName === name) ?? null
  return at
}

export function textOf(parent: Element | null, ...path: string[]): string {
  return child(parent, ...path)?.textContent.trim() ?? ''
}

/** Text that must be there. @throws MalformedError naming the element that is missing */
export function needed(parent: Element | null, ...path: string[]): string {
  const found = child(parent, ...path)
  if (!found) throw new MalformedError(`${path.join('/')} is missing in ${parent?.localName ?? 'the message'}.`)
  return found.textContent.trim()
}

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
// Control characters have no place in XML 1.0; a device must not be able to break a message with one.
// eslint-disable-next-line no-control-regex
const controlCharacters = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g
export const escapeXml = (text: string): string =>
  text.replace(controlCharacters, '').replace(/[&<>"]/g, (c) => escapes[c] ?? c)

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
      attributes += Object.entries(item)
        .map(([k, v]) => ` ${k}="${escapeXml(v)}"`)
        .join('')
    } else inner += flat(item as Content)
  }
  return new Markup(inner === '' ? `<${name}${attributes}/>` : `<${name}${attributes}>${inner}</${name}>`)
}

function flat(content: Content): string {
  if (content === null || content === undefined) return ''
  if (Array.isArray(content)) return content.map(flat).join('')
  return content instanceof Markup ? content.xml : escapeXml(String(content))
}

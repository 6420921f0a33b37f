import { cardName } from '../cards/card'
import { all, type Facts } from '../job/facts'
import { inNameOrder } from '../job/order'

/** Something of the job that can be found by a word, and where it is. */
export interface FindEntry {
  kind: 'controller' | 'unit' | 'person' | 'card' | 'address' | 'area' | 'cabinet'
  /** As it is called. */
  title: string
  /** What else it is known by. */
  says: string
  /** What it belongs to, and is shown with. */
  at: { kind: 'controller' | 'unit' | 'door' | 'person' | 'cabinet'; id: string } | { kind: 'job' }
  /** What it is found by, in small letters. */
  words: readonly string[]
}

const small = (words: readonly (string | undefined)[]): string[] => words.flatMap((w) => (w ? [w.toLowerCase()] : []))

/** Everything but doors, which have a list of their own. */
export function findEntries(facts: Facts): FindEntry[] {
  const cabinets = [...new Set([...all(facts, 'controller'), ...all(facts, 'unit')].map((c) => c.cabinet))]
  return [
    ...all(facts, 'controller').map((c): FindEntry => ({
      kind: 'controller',
      title: c.ref,
      says: [c.cabinet, c.address, c.serial].filter(Boolean).join(' · '),
      at: { kind: 'controller', id: c.id },
      words: small([c.ref, c.address, c.serial, c.mac, c.cabinet]),
    })),
    ...all(facts, 'unit').map((u): FindEntry => ({
      kind: 'unit',
      title: u.ref,
      says: [u.cabinet, u.address].filter(Boolean).join(' · '),
      at: { kind: 'unit', id: u.id },
      words: small([u.ref, u.address, u.cabinet]),
    })),
    ...all(facts, 'door').flatMap((d) =>
      d.parts
        .filter((p) => p.ip)
        .map((p): FindEntry => ({
          kind: 'address',
          title: p.ip ?? '',
          says: `${d.ref} ${p.id}`,
          at: { kind: 'door', id: d.id },
          words: small([p.ip]),
        })),
    ),
    ...all(facts, 'person').map((p): FindEntry => ({
      kind: 'person',
      title: p.name,
      says: p.groups.map((g) => facts.group[g]?.name ?? '').join(', '),
      at: { kind: 'person', id: p.id },
      words: small([p.name, p.number]),
    })),
    ...all(facts, 'person').flatMap((p) =>
      p.cards.map((c): FindEntry => ({
        kind: 'card',
        title: `Card ${cardName(c)}`,
        says: `${p.name}${c.state === 'in use' ? '' : `, ${c.state}`}`,
        at: { kind: 'person', id: p.id },
        words: small([cardName(c), String(c.number)]),
      })),
    ),
    ...all(facts, 'area').map((a): FindEntry => ({
      kind: 'area',
      title: a.name,
      says: a.code,
      at: { kind: 'job' },
      words: small([a.name, a.code]),
    })),
    ...cabinets
      .filter(Boolean)
      .map((name): FindEntry => ({
        kind: 'cabinet',
        title: name,
        says: '',
        at: { kind: 'cabinet', id: name },
        words: small([name]),
      })),
  ]
}

/** How near a word comes: 0 the same, 1 begins with it, 2 a part of it begins with it, 3 has it inside; null where it has not. */
function nearness(entry: FindEntry, text: string): number | null {
  const found = entry.words.flatMap((w) => {
    if (w === text) return [0]
    if (w.startsWith(text)) return [1]
    if (w.split(/[\s.:/-]+/).some((part) => part.startsWith(text))) return [2]
    return w.includes(text) ? [3] : []
  })
  return found.length ? Math.min(...found) : null
}

/** What has the text in it, the nearest first. @param most so many at most; `more` tells how many there are besides */
export function findIn(
  entries: readonly FindEntry[],
  text: string,
  most = 8,
): { found: readonly FindEntry[]; more: number } {
  const wanted = text.trim().toLowerCase()
  if (!wanted) return { found: [], more: 0 }
  const hits = entries
    .flatMap((entry) => {
      const near = nearness(entry, wanted)
      return near === null ? [] : [{ entry, near }]
    })
    .sort((a, b) => a.near - b.near || inNameOrder(a.entry.title, b.entry.title))
  return { found: hits.slice(0, most).map((h) => h.entry), more: Math.max(0, hits.length - most) }
}

import type { Area } from '../job/records'
import { plain } from './plain'

/** An area that the file speaks of and the job lacks. */
export interface NewArea {
  path: string
  name: string
  code: string
  parent: string
}

/** Areas by what a schedule may call them: code, name, or the path of names. */
export function areaFinder(areas: readonly Area[]): (text: string) => Area | undefined {
  const byId = new Map(areas.map((a) => [a.id, a]))
  const path = (a: Area): string =>
    a.parent && byId.has(a.parent) ? `${path(byId.get(a.parent) as Area)} ${plain(a.name)}` : plain(a.name)
  const found = new Map<string, Area>()
  for (const a of areas)
    for (const key of [path(a), plain(a.name), plain(a.code)]) if (!found.has(key)) found.set(key, a)
  return (text) => found.get(plain(text))
}

/** Areas as the job has them, and those that a file brings along, each with a code of its own. */
export class AreasToCome {
  readonly list: NewArea[] = []
  private readonly find: (text: string) => Area | undefined
  private readonly codes: Set<string>
  private readonly made = new Map<string, string>()
  constructor(areas: readonly Area[]) {
    this.find = areaFinder(areas)
    this.codes = new Set(areas.map((a) => a.code))
  }

  /** Id of an area; one that the job lacks is `new:` and its path. */
  idOf(text: string): string {
    const known = this.find(text)
    if (known) return known.id
    const parts = text
      .split(/\s*[/>\\]\s*/)
      .map((p) => p.trim())
      .filter(Boolean)
    let parent = ''
    parts.forEach((name, i) => {
      const path = parts.slice(0, i + 1).join(' / ')
      const there = this.find(path)
      const key = path.toLowerCase()
      if (there) {
        parent = there.id
        return
      }
      if (!this.made.has(key)) {
        this.made.set(key, `new:${path}`)
        this.list.push({ path, name, code: this.codeFor(name), parent })
      }
      parent = this.made.get(key) ?? ''
    })
    return parent
  }

  private codeFor(name: string): string {
    const words = name
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .toUpperCase()
      .replace(/[^A-Z0-9 ]/g, ' ')
      .split(' ')
      .filter(Boolean)
    const letters =
      words.length > 1
        ? words
            .map((w) => w[0])
            .join('')
            .slice(0, 3)
        : (words[0] ?? 'A').slice(0, 2)
    let code = letters || 'A'
    for (let n = 2; this.codes.has(code); n++) code = `${letters.slice(0, 4 - String(n).length)}${n}`
    this.codes.add(code)
    return code
  }
}

import type { Door } from '../doors/door'
import type { Facts } from '../job/facts'
import type { Area } from '../job/records'

/** An area in the order of the tree, with how deep it lies. */
export interface AreaLine {
  area: Area
  depth: number
}
/** Doors between two areas, in whichever direction they lead. `a` comes before `b` in the tree's order; they may be the same. */
export interface AreaLink {
  a: string
  b: string
  doors: string[]
}

/** Areas with each inside its parent, by code. One whose parent is not there stands at the top. */
export function areaTree(areas: readonly Area[]): AreaLine[] {
  const ids = new Set(areas.map((a) => a.id))
  const children = new Map<string, Area[]>()
  for (const area of [...areas].sort((x, y) => x.code.localeCompare(y.code))) {
    const parent = area.parent && ids.has(area.parent) ? area.parent : ''
    children.set(parent, [...(children.get(parent) ?? []), area])
  }
  const walk = (parent: string, depth: number): AreaLine[] =>
    (children.get(parent) ?? []).flatMap((area) => [{ area, depth }, ...walk(area.id, depth + 1)])
  return walk('', 0)
}

/** Whether an area is another one, or lies in it. */
export function isInside({ area }: Pick<Facts, 'area'>, id: string, whole: string): boolean {
  const seen = new Set<string>()
  for (let at: string | undefined = id; at && !seen.has(at); at = area[at]?.parent) {
    if (at === whole) return true
    seen.add(at)
  }
  return false
}

/** What leads where: the doors between each two areas. */
export function areaLinks(lines: readonly AreaLine[], doors: readonly Door[]): AreaLink[] {
  const place = new Map(lines.map((l, i) => [l.area.id, i]))
  const found = new Map<string, AreaLink>()
  for (const door of doors) {
    const [from, to] = [place.get(door.from), place.get(door.to)]
    if (from === undefined || to === undefined) continue
    const [a, b] = from <= to ? [door.from, door.to] : [door.to, door.from]
    const key = `${a}/${b}`
    const link = found.get(key) ?? { a, b, doors: [] }
    link.doors.push(door.ref)
    found.set(key, link)
  }
  return [...found.values()]
}

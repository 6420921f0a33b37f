import { nextMark, type DoorMarks, type Mark } from '@rauta/core'
import type { Href } from 'expo-router'

const doing: Record<Mark, { label: string; path: (door: string) => Href }> = {
  plan: { label: 'Plan this door', path: (d) => `/doors/${d}/plan` },
  wire: { label: 'Wire this door', path: (d) => `/doors/${d}/wire` },
  reach: { label: 'Reach its devices', path: () => '/reach' },
  load: { label: 'Load its controller', path: () => '/load' },
  prove: { label: 'Prove this door', path: (d) => `/doors/${d}/prove` },
  sign: { label: 'Sign this door', path: (d) => `/doors/${d}/sign` },
}

/** The one next action at a door: for the first mark that is missing. Null for a door that is signed. */
export function nextAction(
  door: string,
  state: DoorMarks,
): { label: string; href: Href; says: string; mark: Mark } | null {
  const missing = nextMark(state)
  if (!missing) return null
  const { label, path } = doing[missing.mark]
  return { label, href: path(door), says: missing.says, mark: missing.mark }
}

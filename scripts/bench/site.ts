import type { Controller, Door, Facts, SitingInput } from '@rauta/core'
import { siteDoors } from '@rauta/core/siting'
import { applyChanges, emptyFacts, put, type Change } from '@rauta/core'
import { shippedSheets } from '@rauta/contracts'

const cable = { kind: 'iec' as const, conductorClass: 2 as const, mm2: 1, cores: 6 }

/** An invented site: doors strewn over a grid, a mix of usual hardware, cabinets in rows. */
export function bigSite(count: number, cabinets = 20): SitingInput {
  let seed = 7
  const next = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648
  const kinds: [string, string, string][][] = [
    [
      ['R1', 'entryReader', 'reader-slim'],
      ['K1', 'lock', 'strike-secure'],
      ['C1', 'contact', 'contact-frame'],
    ],
    [
      ['R1', 'entryReader', 'reader-wall'],
      ['K1', 'lock', 'magnet-300'],
      ['C1', 'contact', 'contact-frame'],
      ['X1', 'exit', 'button-exit'],
      ['B1', 'breakGlass', 'break-glass'],
    ],
    [
      ['R1', 'entryReader', 'reader-bus'],
      ['K1', 'lock', 'strike-fast'],
      ['C1', 'contact', 'contact-frame'],
    ],
  ]
  const doors = Array.from({ length: count }, (_, i): Door => {
    const parts = (kinds[i % 5 === 0 ? 1 : i % 7 === 0 ? 2 : 0] ?? []).map(([id, role, sheet]) => ({
      id,
      role: role as Door['parts'][number]['role'],
      sheet,
    }))
    return {
      id: `d${i}`,
      ref: `D-${String(i).padStart(3, '0')}`,
      name: `Door ${i}`,
      from: 'a',
      to: 'a',
      escapeRoute: false,
      passagesPerDay: 40,
      walk: i,
      handle: true,
      parts,
      cables: parts.map((p, n) => ({ id: `W${n + 1}`, part: p.id, type: cable, lengthM: 20 + (i % 30) })),
      placement: null,
      behaviour: {
        releaseS: 5,
        heldOpenS: 20,
        relockDelayS: 0,
        contactIdle: 'closed',
        exitIdle: 'open',
        forcedAlarm: true,
      },
      testCardsOff: false,
      at: { x: next() * 300, y: next() * 120 },
    }
  })
  const names = Array.from({ length: cabinets }, (_, i) => `Riser ${i + 1}`)
  const places = Object.fromEntries(
    names.map((id, i) => [id, { id, x: (i % 5) * 65 + 20, y: Math.floor(i / 5) * 35 + 10 }]),
  )
  return {
    doors,
    controllers: [],
    cabinets: names,
    places,
    sheets: shippedSheets,
    fixed: new Set(),
    anew: true,
    spare: 0,
    allowed: ['controller-2', 'controller-4', 'controller-8'],
    makeId: (n) => `c${n}`,
  }
}

/** The same, placed: as facts of a job. */
export function placedSite(count: number): { facts: Facts; doors: Door[]; controllers: Controller[] } {
  const input = bigSite(count)
  const siting = siteDoors(input)
  const where = new Map(siting.doors.map((d) => [d.door, d.placement]))
  const doors = input.doors.map((d) => ({ ...d, placement: where.get(d.id) ?? null }))
  const empty = emptyFacts()
  const job = {
    id: 'job' as const,
    name: 'Bench',
    client: '',
    site: '',
    zone: 'UTC',
    network: { address: '10.1.0.0', prefix: 16, gateway: '10.1.0.1', timeServer: '10.1.0.1' },
    limits: { watchS: 20, receiptS: 60, reachS: 120, clockS: 2 },
    publicKey: '',
  }
  const changes: Change[] = [
    put(empty, 'job', job),
    put(empty, 'area', { id: 'a', code: 'A', name: 'All' }),
    ...siting.controllers.map((c) => put(empty, 'controller', c)),
    ...doors.map((d) => put(empty, 'door', d)),
  ]
  return { facts: applyChanges(empty, changes, 1), doors, controllers: siting.controllers }
}

import { all, applyChanges, put, readingChanges, wantedConfig, type Change, type Door, type Facts } from '@rauta/core'
import { sheets, smallJob, strikeHardware } from './world'

/**
 * A job of `controllers` x 8 doors and `people` people, all of it loaded: everybody is of one of the groups, of which each passes the
 * doors of one controller, or all doors where everybody may go `everywhere`. One door after the other has the hardware of the first; only their places differ.
 */
export function crowd(controllers: number, people: number, everywhere = false): Facts {
  const w = smallJob({})
  w.controller('c0', 'controller-8', { address: '10.1.1.30' })
  for (let k = 0; k < 8; k++) {
    const id = `d0-${k}`
    w.do('door.add', {
      id,
      fields: { ref: id, name: id, from: 'out', to: 'in', handle: true, hardware: strikeHardware },
    })
    w.do('door.placeProposed', { id, controller: 'c0' })
  }
  const own = all(w.facts, 'door').filter((d) => d.placement?.controller === 'c0')
  const controller = w.facts.controller['c0']
  if (!controller) throw new Error('no controller')
  const made: Change[] = []
  for (let c = 1; c < controllers; c++) {
    made.push(put(w.facts, 'controller', { ...controller, id: `c${c}`, ref: `C${c}`, cabinet: `Riser ${c}` }))
    for (const [k, door] of own.entries()) made.push(put(w.facts, 'door', onController(door, c, k)))
  }
  const doorsOf = (c: number) => own.map((_, k) => `d${c}-${k}`)
  for (let g = 0; g < controllers; g++) {
    const at = everywhere ? Array.from({ length: controllers }, (_, c) => c) : [g]
    made.push(put(w.facts, 'group', { id: `g${g}`, name: `Group ${g}` }))
    made.push(put(w.facts, 'rule', { id: `r${g}`, group: `g${g}`, doors: at.flatMap(doorsOf), schedule: 'day' }))
  }
  for (let p = 0; p < people; p++)
    made.push(
      put(w.facts, 'person', {
        id: `p${p}`,
        number: String(10_000 + p),
        name: `Person ${p}`,
        cards: [{ id: `k${p}`, facility: 60 + (p % 100), number: p, state: 'in use' }],
        groups: [`g${p % controllers}`],
      }),
    )
  let facts = applyChanges(w.facts, made, w.facts.rev + 1)
  for (const c of all(facts, 'controller')) {
    const { config } = wantedConfig(facts, c, sheets)
    const held = readingChanges(facts, c.id, config, 1)
    facts = applyChanges(facts, held, facts.rev + 1)
  }
  return facts
}

const onController = (door: Door, c: number, k: number): Door => ({
  ...door,
  id: `d${c}-${k}`,
  ref: `D${c}-${k}`,
  walk: c * 8 + k,
  placement: door.placement && { ...door.placement, controller: `c${c}` },
})

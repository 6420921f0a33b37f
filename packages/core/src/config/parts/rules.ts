import type { Rule } from '../../access/records'
import { doorsOfRule, isLimited } from '../../access/rights'
import { all } from '../../job/facts'
import type { Scene } from './kind'

/**
 * The rules that pass doors of this controller, with those doors alone. A device that can't be told of an end is told of no right that
 * has one: it would never end there.
 */
export function rulesHere({ facts, doors, board }: Pick<Scene, 'facts' | 'doors' | 'board'>): Rule[] {
  const here = new Set(doors.map((d) => d.id))
  return all(facts, 'rule')
    .map((rule) => ({ ...rule, doors: doorsOfRule(facts, rule).filter((d) => here.has(d)) }))
    .filter((rule) => rule.doors.length > 0 && (!isLimited(rule) || board.controller?.limitedRights === true))
}

import type { Rule } from '../../access/records'
import { all } from '../../job/facts'
import type { Scene } from './kind'

/** The rules that pass doors of this controller, with those doors alone. */
export function rulesHere({ facts, doors }: Pick<Scene, 'facts' | 'doors'>): Rule[] {
  const here = new Set(doors.map((d) => d.id))
  return all(facts, 'rule')
    .map((rule) => ({ ...rule, doors: rule.doors.filter((d) => here.has(d)) }))
    .filter((rule) => rule.doors.length > 0)
}

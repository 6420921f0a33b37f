import { isLimited, limitWords, rulesAt, whoWords } from '../access/rights'
import type { DeviceSheet } from '../devices/sheet'
import type { Door } from '../doors/door'
import type { Facts } from '../job/facts'
import { stop, type Finding } from '../job/finding'

/** Whether some right begins or ends by itself at a door. */
export const hasLimitedRights = (facts: Facts, door: Door): boolean => limitedAt(facts, door).length > 0

const limitedAt = (facts: Facts, door: Door) => rulesAt(facts, door.id).filter(isLimited)

/** Rights that a device of this type can't be told the end of: it is not told of them at all, since it would let them pass for ever. */
export const rightLimitFindings = (facts: Facts, door: Door, ref: string, board: DeviceSheet): Finding[] =>
  board.controller?.limitedRights
    ? []
    : limitedAt(facts, door).map((rule) =>
        stop(
          'load',
          'right-no-end',
          `${whoWords(facts, rule)} pass ${door.ref} ${limitWords(rule)}, and ${ref} can’t be told when a right begins or ends: it lets them in at no time. Give the days to the people instead, or put the door on another controller.`,
        ),
      )

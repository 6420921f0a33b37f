import type { Controller } from './records'
import { sheetOf, type Sheets } from './sheet'

/** What a device says it is, by the name of that type where its sheet is here. */
export const saidType = (said: string, sheets: Sheets): string =>
  (Object.hasOwn(sheets, said) ? sheets[said]?.name : undefined) ?? said

/** That a device says it is another type than the one planned in its place; null where both agree, or it does not say. */
export function wrongTypeWords(said: string, planned: Controller, sheets: Sheets): string | null {
  if (said === '' || said === planned.sheet) return null
  return `The device says it is a ${saidType(said, sheets)}; ${planned.ref} is planned as ${sheetOf(sheets, planned.sheet).name}. Put the planned type there, or change the plan.`
}

/** A compiled schema: whether a payload is as its command asks, and what is wrong with it. */
export interface Check {
  (payload: unknown): boolean
  errors?:
    { keyword: string; instancePath: string; params: Record<string, unknown>; message?: string }[] | null | undefined
}
export const controller_put: Check
export const unit_put: Check
export const job_edit: Check
export const area_put: Check
export const doors_edit: Check
export const person_put: Check
export const group_put: Check
export const rule_put: Check
export const reaction_put: Check
export const doorSet_put: Check
export const schedule_put: Check
export const specialDay_put: Check
export const cardFormat_put: Check
export const unitFeed_put: Check
export const door_add: Check
export const door_edit: Check
export const sheet_put: Check
export const body_account: Check
export const body_newPassword: Check
export const body_ownPassword: Check
export const body_firstUse: Check
export const body_devicePassword: Check

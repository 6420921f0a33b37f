/** A compiled schema: whether a payload is as its command asks, and what is wrong with it. */
interface Check {
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
export const schedule_put: Check
export const specialDay_put: Check

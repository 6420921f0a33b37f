import type { CommandName, CommandPayloads } from '@rauta/contracts'
import type { FieldValues } from 'react-hook-form'
import { post } from './api'
import { useCheckedForm, type CheckedForm, type CheckedOptions } from './checkedForm'
import * as checks from './checks.generated'
import { useJob } from './job'

const ofCommands = {
  'controller.put': checks.controller_put,
  'unit.put': checks.unit_put,
  'unitFeed.put': checks.unitFeed_put,
  'job.edit': checks.job_edit,
  'area.put': checks.area_put,
  'door.add': checks.door_add,
  'door.edit': checks.door_edit,
  'doors.edit': checks.doors_edit,
  'sheet.put': checks.sheet_put,
  'person.put': checks.person_put,
  'group.put': checks.group_put,
  'rule.put': checks.rule_put,
  'reaction.put': checks.reaction_put,
  'doorSet.put': checks.doorSet_put,
  'schedule.put': checks.schedule_put,
  'specialDay.put': checks.specialDay_put,
  'cardFormat.put': checks.cardFormat_put,
} as const
type Formed = keyof typeof ofCommands & CommandName

interface CommandOptions<N extends Formed, F extends FieldValues> extends Omit<
  CheckedOptions<CommandPayloads[N], F>,
  'check' | 'send'
> {
  command: N
}

/** A form that is a command's payload: the command's own schema checks each field as one types, the server has the last word, and either stands at its field. */
export function useCommandForm<N extends Formed, F extends FieldValues>(options: CommandOptions<N, F>): CheckedForm<F> {
  const send = useJob((s) => s.send)
  const { command, ...rest } = options
  return useCheckedForm<CommandPayloads[N], F>({
    ...rest,
    check: ofCommands[command],
    send: (payload) => send(command, payload),
  })
}

const ofBodies = {
  account: checks.body_account,
  newPassword: checks.body_newPassword,
  ownPassword: checks.body_ownPassword,
  firstUse: checks.body_firstUse,
  devicePassword: checks.body_devicePassword,
} as const

interface BodyOptions<F extends FieldValues> extends Omit<CheckedOptions<object, F>, 'check' | 'send' | 'draft'> {
  body: keyof typeof ofBodies
  path: string
}

/** A form that is a request's body, as `useCommandForm`; it holds passwords, so nothing of it is kept. */
export function useBodyForm<F extends FieldValues>({ body, path, ...rest }: BodyOptions<F>): CheckedForm<F> {
  return useCheckedForm<object, F>({
    ...rest,
    draft: null,
    check: ofBodies[body],
    send: (payload) => post(path, payload),
  })
}

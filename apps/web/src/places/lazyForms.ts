import { lazy } from 'react'

/** Forms that two addresses share (new and edit) come when one of them is opened: the first screen does not wait for them. */
export const ControllerForm = lazy(() =>
  import('./controllers/ControllerForm').then((m) => ({ default: m.ControllerForm })),
)
export const DoorForm = lazy(() => import('./plan/DoorForm').then((m) => ({ default: m.DoorForm })))
export const PersonForm = lazy(() => import('./people/PersonForm').then((m) => ({ default: m.PersonForm })))
export const RuleForm = lazy(() => import('./access/RuleForm').then((m) => ({ default: m.RuleForm })))
export const ScheduleForm = lazy(() => import('./time/ScheduleForm').then((m) => ({ default: m.ScheduleForm })))
export const SheetForm = lazy(() => import('./sheets/SheetForm').then((m) => ({ default: m.SheetForm })))

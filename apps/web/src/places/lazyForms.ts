import { lazy } from 'react'

/** Forms come when the first of them is opened: the first screen does not wait for what only they need. */
const forms = () => import('./forms')
export const BehaviourPage = lazy(() => forms().then((m) => ({ default: m.BehaviourPage })))
export const ControllerForm = lazy(() => forms().then((m) => ({ default: m.ControllerForm })))
export const DoorForm = lazy(() => forms().then((m) => ({ default: m.DoorForm })))
export const FirstUse = lazy(() => forms().then((m) => ({ default: m.FirstUse })))
export const ManyForm = lazy(() => forms().then((m) => ({ default: m.ManyForm })))
export const PersonForm = lazy(() => forms().then((m) => ({ default: m.PersonForm })))
export const Plug = lazy(() => forms().then((m) => ({ default: m.Plug })))
export const RuleForm = lazy(() => forms().then((m) => ({ default: m.RuleForm })))
export const ScheduleForm = lazy(() => forms().then((m) => ({ default: m.ScheduleForm })))
export const SheetForm = lazy(() => forms().then((m) => ({ default: m.SheetForm })))
export const SiteForm = lazy(() => forms().then((m) => ({ default: m.SiteForm })))
export const SpecialDays = lazy(() => forms().then((m) => ({ default: m.SpecialDays })))
export const TeamPage = lazy(() => forms().then((m) => ({ default: m.TeamPage })))
export const UnitForm = lazy(() => forms().then((m) => ({ default: m.UnitForm })))

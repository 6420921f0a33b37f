import { lazy } from 'react'

/** Places that stand at several addresses, as a list beside its detail does: each comes when one of them is opened. */
export const AccessPage = lazy(() => import('./access/AccessPage').then((m) => ({ default: m.AccessPage })))
export const BenchPage = lazy(() => import('./reach/BenchPage').then((m) => ({ default: m.BenchPage })))
export const ReachPage = lazy(() => import('./reach/ReachPage').then((m) => ({ default: m.ReachPage })))
export const ControllerPage = lazy(() =>
  import('./controllers/ControllerPage').then((m) => ({ default: m.ControllerPage })),
)
export const ControllersPage = lazy(() =>
  import('./controllers/ControllersPage').then((m) => ({ default: m.ControllersPage })),
)
export const PeoplePage = lazy(() => import('./people/PeoplePage').then((m) => ({ default: m.PeoplePage })))
export const ProveList = lazy(() => import('./prove/ProveList').then((m) => ({ default: m.ProveList })))
export const ProvePage = lazy(() => import('./prove/ProvePage').then((m) => ({ default: m.ProvePage })))
export const SheetPage = lazy(() => import('./sheets/SheetPage').then((m) => ({ default: m.SheetPage })))
export const SheetsPage = lazy(() => import('./sheets/SheetsPage').then((m) => ({ default: m.SheetsPage })))
export const SuppliesPage = lazy(() => import('./supplies/SuppliesPage').then((m) => ({ default: m.SuppliesPage })))
export const SupplyPage = lazy(() => import('./supplies/SupplyPage').then((m) => ({ default: m.SupplyPage })))
export const TimePage = lazy(() => import('./time/TimePage').then((m) => ({ default: m.TimePage })))

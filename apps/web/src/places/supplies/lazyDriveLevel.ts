import { lazy } from 'react'

/** The chart comes only where it is looked at: it is heavy. */
export const DriveLevel = lazy(() => import('./DriveLevel'))

export * from './overlap'
export * from './schedule'
export * from './ical'
export * from './wallClock'

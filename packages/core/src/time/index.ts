export * from './schedule'
export * from './ical'

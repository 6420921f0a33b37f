export * from './blockers'
export * from './arrivals'

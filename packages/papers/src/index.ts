export * from './decode'
export * from './read'
export * from './write'
export * from './tables'

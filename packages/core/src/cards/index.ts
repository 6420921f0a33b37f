export * from './wiegand'
export * from './formats'
export * from './detective'

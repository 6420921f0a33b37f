export * from './card'
export * from './formats'
export * from './detective'
export * from './strange'

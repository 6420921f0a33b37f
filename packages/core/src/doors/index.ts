export * from './door'
export * from './openings'
export * from './functions'
export * from './accesspoints'

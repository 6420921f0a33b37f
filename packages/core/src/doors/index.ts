export * from './door'
export * from './openings'

export * from './address'

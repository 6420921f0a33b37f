export * from './layout'

export * from './checkoff'

export * from './table'
export * from './header'
export * from './fault'
export * from './value'

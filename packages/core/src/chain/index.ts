export * from './record'
export * from './signature'
export * from './head'

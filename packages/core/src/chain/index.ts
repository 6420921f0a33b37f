export * from './record'
export * from './file'
export * from './signature'
export * from './head'

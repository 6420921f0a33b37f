export * from './record'
export * from './signature'

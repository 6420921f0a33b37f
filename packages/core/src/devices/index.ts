export * from './sheet'
export * from './records'

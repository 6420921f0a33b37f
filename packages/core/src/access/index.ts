export * from './records'
export * from './decide'

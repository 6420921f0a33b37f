export * from './records'
export * from './decide'
export * from './kinds'
export * from './reaching'

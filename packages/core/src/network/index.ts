export * from './address'
export * from './plan'
export * from './records'
export * from './ranges'

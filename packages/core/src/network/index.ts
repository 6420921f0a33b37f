export * from './address'
export * from './plan'

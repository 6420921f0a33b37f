export * from './length'
export * from './transport'
export * from './spread'
export * from './site'

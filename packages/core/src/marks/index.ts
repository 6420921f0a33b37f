export * from './state'
export * from './marks'
export * from './reach'
export * from './keeper'

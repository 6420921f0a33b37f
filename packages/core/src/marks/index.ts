export * from './marks'
export * from './keeper'

export * from './marks'

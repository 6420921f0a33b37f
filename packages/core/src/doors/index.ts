export * from './door'

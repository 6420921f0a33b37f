export * from './map'

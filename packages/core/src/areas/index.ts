export * from './map'
export * from './coming'

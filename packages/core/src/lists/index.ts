export * from './cables'
export * from './labels'
export * from './athand'
export * from './conductors'

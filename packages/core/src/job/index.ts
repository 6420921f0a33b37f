export * from './facts'
export * from './change'
export * from './finding'
export * from './order'

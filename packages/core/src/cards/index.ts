export * from './wiegand'

export * from './server'
export { StartError } from './store/startError'

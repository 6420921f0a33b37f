/** What stands over the screen, in one piece: the cover that both need comes with them and not with the first screen. */
export { Costs } from './Costs'
export { Keys } from './Keys'

export { equipment } from './equipment'
export { whoMinds, type Minds } from './minds'

export { equipment } from './equipment'
export { whoMinds, type Minds } from './minds'
export { ridesThrough, sayRidesThrough } from './ridesThrough'

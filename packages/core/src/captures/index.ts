export * from './analysis'
export { saidClass } from './promise'
export { type Sag } from './sag'
export { wattsOf, type SeenWave } from './seen'

export * from './analysis'
export { saidClass } from './saidClass'
export { type Sag } from './sag'
export { wattsOf, type SeenWave } from './seen'

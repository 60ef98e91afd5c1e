export * from './analysis'
export { saidClass } from './judge'
export { type Sag } from './sag'
export { wattsOf, type SeenWave } from './seen'

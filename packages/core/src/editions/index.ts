export * from './compose'
export * from './chapters'
export * from './stated'

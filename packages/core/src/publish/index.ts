export * from './stated'

export * from './sameFile'

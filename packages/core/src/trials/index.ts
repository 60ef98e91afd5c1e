export * from './replay'

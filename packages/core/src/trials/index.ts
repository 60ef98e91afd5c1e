export * from './analysis'
export * from './record'
export * from './replay'
export * from './strike'

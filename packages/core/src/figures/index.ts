export * from './figure'
export * from './format'

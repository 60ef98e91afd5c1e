export * from './against'
export * from './references'
export * from './tellable'

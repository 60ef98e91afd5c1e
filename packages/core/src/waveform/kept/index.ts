export * from './instrument'
export * from './values'

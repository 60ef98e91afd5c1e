export * from './measure'
export * from './number'

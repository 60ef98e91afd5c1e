export * from './figures'
export * from './rules'
export * from './suits'

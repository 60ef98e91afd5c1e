export * from './cautions'
export * from './precharge'

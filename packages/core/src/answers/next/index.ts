export * from './bundles'
export * from './weigh'

export * from './difference'
export * from './revisions'

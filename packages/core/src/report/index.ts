export * from './view'

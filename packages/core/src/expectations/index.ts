export * from './expected'

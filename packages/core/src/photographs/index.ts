export * from './picture'

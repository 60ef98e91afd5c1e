export * from './finding'
export * from './judgeFigure'
export * from './outcome'

export type { HeldFigure } from './against'
export { heldNoLoad, heldStep, tellable } from './trial'

export { quantityIds, quantityOf, type QuantityId } from './quantities'
export { readQuantity } from './read'
export { headline, nameOf, sayAssumed, sayClash, sayNeed, saySum } from './say'
export { sheetOf, type Sheet, type SumRow, type TypedQuantity } from './sheet'

/** A place in a drawing, to a tenth of its unit: nobody sees more. */
export const coordinate = (x: number): string => x.toFixed(1)

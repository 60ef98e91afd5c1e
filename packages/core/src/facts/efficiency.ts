/** Share of the input that comes out, where nothing was read and nothing is promised: it plans, and decides nothing. */
export const usualEfficiency = 0.85

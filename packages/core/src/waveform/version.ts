/**
 * Raised by one whenever the same bytes and recipe give other figures than before: each installation then works its captures
 * again when it starts, and what was better understood reaches those that are old.
 */
export const analysisVersion = 2

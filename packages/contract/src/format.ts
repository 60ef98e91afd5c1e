/** Names a trial as a document, and the version of its format. Apart, so that who asks only this loads no schema. */
export const formatName = 'even-watt-trial'
export const formatVersion = 9
/** What writes it. */
export const madeBy = 'Even Watt 0.1.0'

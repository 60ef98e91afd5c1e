export { askable, answersOf, inWords, questionsOf, wishes } from './answers'
export type { Answered, Asked as AskedOfTrial, Mark, Place } from './answer'
export { readingOrder, weighReadings, type NextReading, type ReadingOrder } from './next'

import { battery } from './battery'
import { days } from './days'
import { leads } from './leads'
import { outlet } from './outlet'
import { path } from './path'
import type { Relation } from './relation'
import { unit } from './unit'

export type { Relation, Values } from './relation'

/** Every relation of the sheet, each once. A new one is declared here, and nowhere else. */
export const relations: readonly Relation[] = [...path, ...leads, ...outlet, ...battery, ...days, ...unit]

import { Entries, type Entry } from '@even-watt/contract'
import { readJson } from '../http/readJson'
import { parse } from '../http/validate'

/** The entries of a body, or a problem that names each field. */
export const readSent = (bytes: Uint8Array): Entry[] => parse(readJson(bytes), Entries)

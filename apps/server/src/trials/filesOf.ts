import { fileOf, type AttachedFile, type Entry } from '@even-watt/contract'

/** The files that entries name, each once. */
export function filesOf(entries: readonly Entry[]): AttachedFile[] {
  const files = entries.flatMap((entry) => fileOf(entry) ?? [])
  return [...new Map(files.map((file) => [file.sha256, file])).values()]
}

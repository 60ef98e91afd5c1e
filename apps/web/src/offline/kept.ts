const id = '[0-9a-f-]{36}'

/** What a page needs to stand without the server: documents, trials and their entries; no files, streams or exports. */
const wanted = new RegExp(
  `^/api/(settings|(units|meters|rigs|loads)(/${id})?|loads/taken|trials(/verdicts|/${id}(/entries)?)?)$`,
)

/** Whether the answer at this path is kept for when the server is out of reach. */
export const keptOffline = (path: string): boolean => wanted.test(path)

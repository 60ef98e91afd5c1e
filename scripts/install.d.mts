/** What TypeScript needs to know of install.mjs, which runs before anything is installed. */
export declare const alone: <T>(work: () => T | Promise<T>) => Promise<T>

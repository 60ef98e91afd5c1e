import { networkInterfaces } from 'node:os'

/** IPv4 addresses of this machine on its local networks. */
export const lanAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((one) => one ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)

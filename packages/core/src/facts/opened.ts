/** Devices in the path that open by themselves. */
export type Device = 'fuse' | 'breaker' | 'BMS'

const devices: ReadonlySet<string> = new Set(['fuse', 'breaker', 'BMS'] satisfies Device[])

/** The device that was found open, by what was noted; undefined: none, or not noted. */
export const deviceIn = (noted: string | undefined): Device | undefined =>
  noted !== undefined && devices.has(noted) ? (noted as Device) : undefined

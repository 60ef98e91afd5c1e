export const shortDate = (instant: string) =>
  new Date(instant).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })

export const shortTime = (instant: string) =>
  new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', second: '2-digit' })

/** Hours and minutes: seconds are too many for what takes hours. */
export const clockTime = (instant: string | number) =>
  new Date(instant).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

import { remembered } from '../ui/browserStore'

/** Three short tones; browsers allow sound only after something was pressed on the page. */
export async function sound(context: AudioContext): Promise<void> {
  if (context.state === 'suspended') await context.resume()
  for (const i of [0, 1, 2]) {
    const tone = context.createOscillator()
    const level = context.createGain()
    const at = context.currentTime + i * 0.35
    tone.frequency.value = 660
    level.gain.setValueAtTime(0.0001, at)
    level.gain.exponentialRampToValueAtTime(0.25, at + 0.03)
    level.gain.exponentialRampToValueAtTime(0.0001, at + 0.25)
    tone.connect(level).connect(context.destination)
    tone.start(at)
    tone.stop(at + 0.3)
  }
}

export const ways = ['sound', 'notification'] as const
export type Way = (typeof ways)[number]

const key = (way: Way) => `ring ${way}`

/** Both are off until the tester wants them. */
export const wants = (way: Way): boolean => remembered.read(key(way)) === 'yes'

/** Keeps the wish; for notifications the browser is asked. Resolves with the sentence why it cannot be. */
export async function want(way: Way, on: boolean): Promise<string | undefined> {
  if (on && way === 'notification') {
    if (typeof Notification === 'undefined') return 'This browser shows no notifications.'
    if ((await Notification.requestPermission()) !== 'granted') {
      return 'The browser does not allow notifications here; allow them in its settings for this address.'
    }
  }
  remembered.keep(key(way), on ? 'yes' : 'no')
  return undefined
}

/** What a supply does to equipment, where it leaves what that wants. */
interface Wants {
  /** By how much the volts may stand off nominal, either way, as a share; and what happens below and above. */
  readonly volts?: { readonly within: number; readonly low: string; readonly high: string }
  /** The same of the hertz. */
  readonly hertz?: { readonly within: number; readonly why: string }
  /** The most distortion, as a share. */
  readonly distortion?: { readonly most: number; readonly why: string }
  /** ms without any volts that it rides through; absent: as long as one likes. */
  readonly gap?: number
  /** What a stepped wave does to it. */
  readonly sine?: string
}

/** A kind of equipment, as testers name it. */
export interface Equipment {
  readonly kind: string
  readonly wants: Wants
}

/** ± 10 % is what equipment for 220 to 240 V is made for (IEC 60038); the same is asked of what is made for 120 V. */
const usualVolts = 0.1
/** Within which a rotating machine keeps its ratings for good (IEC 60034-1, zone B is ± 10 % and ± 5 %). */
const machineHertz = 0.05
/** What public supplies keep (EN 50160), and so what equipment is tested with. */
const usualDistortion = 0.08

/** ms that computers ride through without any volts (ITI curve), and that half a cycle of 50 Hz lasts. */
const computers = 20
const halfCycle = 10

/** Kinds of equipment and what each wants of its supply, the most patient first (docs/method/minds.md). */
export const equipment: readonly Equipment[] = [
  {
    kind: 'heaters, kettles, filament lamps',
    wants: {
      volts: {
        within: usualVolts,
        low: 'its heat falls with the square of the volts',
        high: 'its heat rises with the square of the volts, and a lamp burns out sooner',
      },
    },
  },
  {
    kind: 'chargers, computers, LED lamps',
    wants: {
      volts: {
        within: usualVolts,
        low: 'it takes more amps, or switches off',
        high: 'its input parts are stressed',
      },
      gap: computers,
    },
  },
  {
    kind: 'small supplies without a transformer, shavers, night lights',
    wants: {
      volts: { within: usualVolts, low: 'it may not work', high: 'it runs hotter' },
      gap: computers,
      sine: 'the steep edges drive more amps through its capacitor: it may overheat',
    },
  },
  {
    kind: 'motors, pumps, compressors, fridges',
    wants: {
      volts: {
        within: usualVolts,
        low: 'its torque falls with the square of the volts: it starts worse and runs hotter',
        high: 'its iron saturates: it hums and runs hotter',
      },
      hertz: { within: machineHertz, why: 'its speed follows the hertz' },
      // Its contactor lets go; a pressed compressor then stalls.
      gap: computers,
      distortion: { most: usualDistortion, why: 'harmonics heat it and turn nothing' },
      sine: 'a stepped wave heats it and makes it hum, and it starts worse',
    },
  },
  {
    kind: 'microwave ovens',
    wants: {
      volts: { within: usualVolts, low: 'it cooks slower', high: 'its transformer saturates' },
      gap: halfCycle,
      sine: 'it lives on the peak of the wave: it cooks slower and hums',
    },
  },
  {
    kind: 'audio, radio, transformers',
    wants: {
      volts: { within: usualVolts, low: 'its supply may hum', high: 'its transformer hums' },
      gap: computers,
      hertz: { within: machineHertz, why: 'a transformer saturates where the hertz are low' },
      distortion: { most: usualDistortion, why: 'harmonics are heard as a buzz' },
      sine: 'the steps are heard as a buzz',
    },
  },
  {
    kind: 'clocks and timers that count the mains',
    wants: {
      hertz: { within: 0.001, why: 'it runs fast or slow by as much' },
      gap: halfCycle,
      sine: 'it may count a step as a cycle, and run fast',
    },
  },
  {
    kind: 'dimmers, speed controls, electric blankets',
    wants: {
      volts: { within: usualVolts, low: 'it may flicker', high: 'it may flicker' },
      gap: halfCycle,
      distortion: { most: usualDistortion, why: 'it looks for where the wave crosses zero' },
      sine: 'it looks for where the wave crosses zero, and steps mislead it',
    },
  },
  {
    kind: 'laser printers, medical and laboratory equipment',
    wants: {
      volts: { within: 0.05, low: 'its maker may refuse it', high: 'its maker may refuse it' },
      hertz: { within: 0.01, why: 'its maker may refuse it' },
      gap: halfCycle,
      distortion: { most: 0.05, why: 'its maker may refuse it' },
      sine: 'its maker may refuse it: ask him first',
    },
  },
]

import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../../court'
import { nearlyAll, promisedLoad, tooMuch } from '../../facts'
import { plain, sayFigure, sayLength } from '../../figures'
import { noisesOf, type Noise } from '../noise'

/** m that a promise of dB(A) is for (docs/method/endurance.md); a tape held by hand is right within a tenth. */
const promisedAt = 1
const byHand = 0.1

/**
 * Noise. Nearer than 1 m it is louder and farther it is quieter, so that a near reading never breaks a promise and a far one
 * never shows it; with a room that nobody read, or that it does not stand out of, it is no more than all that was heard; quiet
 * counts with the fan running, or the load on.
 */
export const noise: Promised = {
  units: ['dB(A)'],
  usual: { unit: 'dB(A)', comparator: 'at most' },
  at: 'endurance',
  several: 'worst',
  room: 'heat',
  voltsOf: 'steady',
  evidence: (asked) => noisesOf(asked.analysis).map((one) => evidenceOf(one, asked)),
  absent: () => 'The noise was not read.',
}

function evidenceOf(one: Noise, asked: Asked): Evidence {
  const { level, alone, entry } = one
  const { distance, silent } = entry.reading
  return {
    code: alone ? 'read' : 'with the room',
    figure: level,
    bound: alone ? 'exact' : 'at most',
    hindrances: [
      ...distanceHindrances(one),
      ...(silent === false ? [loudLoad()] : []),
      ...loadHindrances(one, asked),
    ],
    open: background(one),
    found: () => `its noise is ${sayFigure(level)}${alone ? '' : ' at most'}, at ${sayLength(distance)}`,
  }
}

function distanceHindrances({ entry: { reading } }: Noise): Hindrance[] {
  const { distance } = reading
  const there = sayLength(promisedAt)
  const words = () => ({ why: `A level is promised for ${there}.`, would: `Read it at ${there}.` })
  return [
    ...(distance < promisedAt * (1 - byHand) ? [hindrance('read nearer', words)] : []),
    ...(distance > promisedAt * (1 + byHand) ? [hindrance('read farther', words)] : []),
  ]
}

const loudLoad = () =>
  hindrance('loud load', () => ({
    why: 'Its load made noise of its own.',
    would: 'Read it with a silent load, such as a heater without a fan.',
  }))

function background({ entry: { reading } }: Noise): Hindrance {
  return hindrance('background not read', () =>
    reading.background === undefined
      ? {
          why: 'How loud the room was without it is not noted.',
          would: 'Read the background with the unit off, and note it.',
        }
      : {
          why: 'It could not be told from the room.',
          would: 'Read it nearer, or in a quieter room.',
        },
  )
}

function loadHindrances({ entry: { reading } }: Noise, { claim, analysis }: Asked): Hindrance[] {
  const { fan, watts } = reading
  const { load } = claim
  const full = promisedLoad(claim, analysis)
  const loaded = (watts ?? 0) >= (full ?? Infinity) * nearlyAll
  const loudest = loaded || (load === undefined && (fan === 'on' || fan === 'speed'))
  const over = load !== undefined && (watts ?? Infinity) > load * tooMuch
  return [
    ...(loudest
      ? []
      : [
          hindrance('not at its loudest', () =>
            load !== undefined
              ? {
                  why: `No note says that it carried ${plain(load)} W.`,
                  would: `Read it at ${plain(load)} W, and note the load.`,
                }
              : {
                  why: 'No note says that its fan ran or that its rated load was on.',
                  would: 'Read it with its fan running, or at its rated load, and note which.',
                },
          ),
        ]),
    ...(over
      ? [
          hindrance('heavy load', () => ({
            why:
              watts === undefined
                ? `No note says that it carried no more than ${plain(load)} W.`
                : `It carried more than ${plain(load)} W.`,
            would: `Read it at ${plain(load)} W, and note the load.`,
          })),
        ]
      : []),
  ]
}

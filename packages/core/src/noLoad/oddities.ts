import { say, sayFigure } from '../figures'
import type { Notice, Oddity } from '../oddities'
import { bankChargeAtRest, isTooLowToBegin } from '../supply'
import { readingsOf } from '../trials'
import { outletLoads } from './figures'

/** 4: a load present in an idle reading. 11: a current too coarse to read there. */
export const noticeIdleLoad: Notice = ({ analysis }) => {
  const revision = analysis.record.revision.number
  const entry = readingsOf(analysis.record, 'no load').at(-1)?.id
  const at = { revision, ...(entry ? { entry } : {}) }
  const found: Oddity[] = []
  for (const figure of outletLoads(analysis.noLoad.on.read)) {
    found.push({
      number: 4,
      odd: `${sayFigure(figure)} flows at the outlet in an idle reading.`,
      why: 'Idle draw is input with every load unplugged; a power strip with a lamp is a load.',
      todo: 'Unplug everything, strip included, and read again.',
      at: { ...at, quantity: figure.symbol === 'P_C' ? 'P_C' : 'I_C' },
    })
  }
  if (analysis.noLoad.on.weak) {
    found.push({
      number: 11,
      odd: analysis.noLoad.on.weak,
      why: 'One count more or less changes the idle figure by several per cent.',
      todo: 'Use a lower range, a series ammeter or a shunt.',
      at: { ...at, quantity: 'I' },
    })
  }
  return found
}

/** 15: a bank that stands too low, barely loaded, for a fair test of what it feeds. */
export const noticeLowToBegin: Notice = ({ analysis: { record } }) => {
  const { rig, number: revision } = record.revision
  const looks = readingsOf(record, 'no load').flatMap(({ id, reading: { values } }) => {
    const volts = values.find(({ quantity }) => quantity === 'V_A' || quantity === 'V_B')?.value
    return volts === undefined ? [] : [{ id, volts }]
  })
  // Read again after a recharge, it stands as it was read last.
  const last = looks.at(-1)
  const charge = last && bankChargeAtRest(rig.bank, last.volts)
  if (!last || !charge || !isTooLowToBegin(charge)) return []
  return [
    {
      number: 15,
      odd: `The bank stood at ${say(last.volts, 'V', 4)} with nothing connected: it holds ${say(100 * charge.high, '%', 2)} at most.`,
      why: 'A low bank sags more and warns sooner: what it feeds is blamed for it.',
      todo: 'Recharge it, let it rest, and read no load again before the ladder.',
      at: { revision, entry: last.id },
    },
  ]
}

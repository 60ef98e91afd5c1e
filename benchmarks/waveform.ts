import { analyseCapture } from '@even-watt/core/waveform/index'
import FFT from 'fft.js'
import { spawnSync } from 'node:child_process'
import { medianTime, say } from './report'

const samples = 1_000_000
const rate = 50_000

/** The same in numpy and scipy: RMS, means, peaks, period, a chirp-z transform at exact multiples and halfway between, a fold. */
const yardstick = `
import numpy as np, time
from scipy.signal import czt
n = np.arange(${samples}); x = 325*np.sin(2*np.pi*49.97*n/${rate}) + 9*np.sin(6*np.pi*49.97*n/${rate}+1) + np.random.rand(${samples})
best = 1e9
for k in range(5):
    t = time.perf_counter()
    np.sqrt(np.mean(x*x)); np.mean(np.abs(x-x.mean())); x.max(); x.min()
    s = x > 160; c = np.flatnonzero(s[1:] & ~s[:-1]); T = (c[-1]-c[0])/(len(c)-1)
    X = czt(x, 101, np.exp(-2j*np.pi/T/2), 1)
    np.sqrt((abs(X[4::2])**2).sum())/abs(X[2]); np.sqrt((abs(X[3::2])**2).sum())/abs(X[2])
    ph = (n/T % 1*256).astype(int); np.bincount(ph, x, 256)/np.bincount(ph, minlength=256)
    best = min(best, time.perf_counter() - t)
print(best*1000)
`

/** A million samples, all figures and 50 harmonics, beside numpy and scipy where they are here. */
export async function benchWaveform(): Promise<void> {
  const x = Float64Array.from(
    { length: samples },
    (_, i) =>
      325 * Math.sin((2 * Math.PI * 49.97 * i) / rate) +
      9 * Math.sin((6 * Math.PI * 49.97 * i) / rate + 1) +
      Math.sin(i * i),
  )
  const time = await medianTime(5, () => {
    analyseCapture({ dt: 1 / rate, times: undefined, channels: [{ quantity: 'V_C', x }] })
  })
  const python = spawnSync('python3', ['-c', yardstick], { encoding: 'utf8' })
  const theirs = Number(python.stdout)
  const what = 'a capture of 1,000,000 samples, all figures'
  if (python.status === 0 && theirs > 0) say(what, time, 'numpy and scipy', theirs, 'ms')
  else say(what, time, 'twenty plain FFTs of 2^20', 20 * (await plainTransform()), 'ms')
}

/** One transform to a power of two, which tells harmonics of no period that is not one. */
function plainTransform(): Promise<number> {
  const fft = new FFT(2 ** 20)
  const samples = new Float64Array(2 ** 20).map((_, i) => Math.sin(i / 159))
  const out = fft.createComplexArray()
  return medianTime(5, () => fft.realTransform(out, samples))
}

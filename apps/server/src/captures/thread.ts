import type { Recipe } from '@even-watt/contract'
import { parentPort, workerData } from 'node:worker_threads'
import { workBytes } from './workBytes'

const { bytes, recipe } = workerData as { bytes: Uint8Array; recipe: Recipe }
parentPort?.postMessage(workBytes(bytes, recipe))

import { parentPort } from 'node:worker_threads'
import type { Answer, Asked } from './besides/threads'
import { readPushed } from './captures/readPushed'
import { workBytes } from './captures/workBytes'
import { ProblemError } from './http/problem'
import { figuresFile, packed, readingsFile, trialFile } from './trials/exports'
import { readSent } from './trials/sent'
import { readTrialFile } from './trials/taken'
import { tell } from './trials/tell'
import { verdictCounts } from './trials/verdictCounts'

/** All that a thread of its own does (besides/). */
const tasks: Readonly<Record<string, (...sent: never[]) => unknown>> = {
  workBytes,
  readPushed,
  verdictCounts,
  tell,
  trialFile,
  packed,
  readingsFile,
  figuresFile,
  readTrialFile,
  readSent,
}

function answer({ task, sent }: Asked): Answer {
  const wanted = tasks[task]
  if (!wanted) return { fault: `There is no task ${task}.` }
  try {
    return { result: wanted(...(sent as never[])) }
  } catch (error) {
    if (error instanceof ProblemError) {
      const { status, title, detail, fields, type } = error
      return { problem: { status, title, detail, fields, type } }
    }
    return { fault: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

parentPort?.on('message', (asked: Asked) => parentPort?.postMessage(answer(asked)))

import { benchCapture } from './capture'
import { benchClients } from './clients'
import { benchDerive } from './derive'
import { benchFirstScreen } from './firstScreen'
import { benchLargeTrial } from './largeTrial'
import { benchLogs } from './logs'
import { benchLongLadder } from './longLadder'
import { benchPlanning, benchSchedule } from './planning'
import { benchSliding } from './sliding'
import { benchTrialList } from './trialList'
import { benchTyping } from './typing'
import { benchWaveform } from './waveform'
import { benchWeighing } from './weighing'

await benchFirstScreen()
await benchDerive()
benchCapture()
await benchPlanning()
await benchSchedule()
await benchWeighing()
await benchTrialList()
await benchTyping()
await benchLongLadder()
await benchSliding()
await benchClients()
await benchLargeTrial()
await benchWaveform()
await benchLogs()

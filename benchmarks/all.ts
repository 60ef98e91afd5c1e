import { benchDerive } from './derive'
import { benchFirstScreen } from './firstScreen'
import { benchSliding } from './sliding'
import { benchPlanning, benchSchedule } from './planning'
import { benchTrialList } from './trialList'
import { benchTyping } from './typing'

await benchFirstScreen()
await benchDerive()
await benchPlanning()
await benchSchedule()
await benchTrialList()
await benchTyping()
await benchSliding()

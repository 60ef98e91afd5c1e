import type { Settings } from '@even-watt/contract'
import { useState } from 'react'
import { api } from '../api/api'
import { questionsWanted } from '../answers/ChooseWish'
import { handTo } from '../ui/reader'
import type { Beginning, BeginForm, BeginIds } from './begin'

/** Saves meters, unit and rig, and starts the trial; again after a failure it goes on where it stopped. */
export function useBegin() {
  const [saveMeter] = api.useSaveMeterMutation()
  const [saveUnit] = api.useSaveUnitMutation()
  const [saveRig] = api.useSaveRigMutation()
  const [saveSettings] = api.useSaveSettingsMutation()
  const [start] = api.useStartTrialMutation()
  const [busy, setBusy] = useState(false)

  const begin = async (
    form: BeginForm,
    { unit, rig, sameRig, meters }: Beginning,
    ids: BeginIds,
    known: Settings | null,
  ): Promise<string> => {
    setBusy(true)
    try {
      if (known === null) await saveSettings({ editedFrom: 0, content: settingsOf(form) }).unwrap()
      for (const { id, meter, isNew } of meters)
        if (isNew) await saveMeter({ id, editedFrom: 0, content: meter }).unwrap()
      const trial = { id: ids.part('trial'), unit: ids.part('unit'), rig: sameRig ?? ids.part('rig') }
      await saveUnit({ id: trial.unit, editedFrom: 0, content: unit }).unwrap()
      if (rig && sameRig === undefined) await saveRig({ id: trial.rig, editedFrom: 0, content: rig }).unwrap()
      const questions = questionsWanted(form.wanted)
      const title = unit.name
      const by = form.by.trim()
      await start({ ...trial, title, by, ...(questions ? { questions } : {}) }).unwrap()
      handTo(by)
      return trial.id
    } finally {
      setBusy(false)
    }
  }
  return { begin, busy }
}

function settingsOf({ mains, currency, units }: BeginForm): Settings {
  return {
    mains: mains as Settings['mains'],
    currency: currency.trim(),
    ...(units === 'american' ? american : {}),
  }
}

const american: Partial<Settings> = {
  length: 'ft',
  temperature: '°F',
  mass: 'lb',
  gauge: 'AWG',
  torque: 'lb·in',
  motors: 'hp',
}

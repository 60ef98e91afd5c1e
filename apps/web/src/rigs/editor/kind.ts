import { Rig, type StoredRig } from '@even-watt/contract'
import { v7 } from 'uuid'
import { api } from '../../api/api'
import type { DocumentKind } from '../../ui/DocumentEditor'
import { blankRig } from './edit'
import { formToRig, rigToForm, type RigForm } from './form'
import { RigFields } from './RigFields'

export const rigKind: DocumentKind<RigForm, Rig, StoredRig> = {
  what: 'rig',
  listPath: '/rigs',
  schema: Rig,
  blank: () => blankRig(v7),
  toForm: rigToForm,
  fromForm: formToRig,
  useList: api.useRigsQuery,
  useSave: api.useSaveRigMutation,
  useDelete: api.useDeleteRigMutation,
  Fields: RigFields,
}

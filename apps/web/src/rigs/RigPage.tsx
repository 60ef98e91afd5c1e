import { DocumentEditor } from '../ui/DocumentEditor'
import { rigKind } from './kind'

export const RigPage = () => <DocumentEditor kind={rigKind} />

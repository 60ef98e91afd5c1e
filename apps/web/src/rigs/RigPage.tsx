import { DocumentEditor } from '../ui/DocumentEditor'
import { rigKind } from './editor/kind'

export const RigPage = () => <DocumentEditor kind={rigKind} />

import { Component, type ReactNode } from 'react'
import { Notice } from './Notice'

interface Props {
  /** What cannot be shown, for the sentence: "The chart". */
  readonly what: string
  readonly children: ReactNode
}

/** Keeps a part that fails, such as one whose program does not come while the server is away, from taking the screen with it. */
export class Guarded extends Component<Props, { readonly failed: boolean }> {
  override state = { failed: false }

  static getDerivedStateFromError() {
    return { failed: true }
  }

  override render() {
    if (!this.state.failed) return this.props.children
    return (
      <Notice kind="odd" word="Not shown">
        {this.props.what} cannot be shown just now; load the page again when the server is there. Entry goes
        on.
      </Notice>
    )
  }
}

import { Component, type ReactNode } from 'react'
import { PageError } from './PageError.tsx'

/** What fails below it is said in its place; going to another page tries anew. */
export class PageBoundary extends Component<{ at: string; children: ReactNode }, { hasFailed: boolean }> {
  override state = { hasFailed: false }

  static getDerivedStateFromError = () => ({ hasFailed: true })

  override componentDidUpdate(before: { at: string }) {
    if (before.at !== this.props.at && this.state.hasFailed) this.setState({ hasFailed: false })
  }

  override render() {
    return this.state.hasFailed ? <PageError /> : this.props.children
  }
}

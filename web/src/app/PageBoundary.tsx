import { Component, type ReactNode } from 'react'
import { PageError } from './PageError.tsx'

/** What fails below it is said in its place; going to another page tries anew. */
export class PageBoundary extends Component<
  { at: string; children: ReactNode },
  { failedAt: string | null }
> {
  override state: { failedAt: string | null } = { failedAt: null }

  static getDerivedStateFromError = () => ({ failedAt: '' })

  override componentDidCatch() {
    this.setState({ failedAt: this.props.at })
  }

  override componentDidUpdate({ at }: { at: string }) {
    if (at !== this.props.at && this.state.failedAt !== null) this.setState({ failedAt: null })
  }

  override render() {
    return this.state.failedAt === null ? this.props.children : <PageError />
  }
}

import { Component, type ReactNode } from 'react';

interface Props {
  readonly fallback: ReactNode;
  readonly children: ReactNode;
}

/** Where what is inside breaks, the fallback stands in its place and the rest of the page goes on. */
export class Boundary extends Component<Props, { readonly broken: boolean }> {
  override state = { broken: false };
  static getDerivedStateFromError(): { broken: boolean } {
    return { broken: true };
  }
  override render(): ReactNode {
    return this.state.broken ? this.props.fallback : this.props.children;
  }
}

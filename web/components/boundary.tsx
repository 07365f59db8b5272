import { Component, type ReactNode } from 'react';

/**
 * Where something dies, only that dies: what is around it goes on, and in its place stands a word about it. It is tried
 * again when its key changes, or when it is asked to.
 */
export class Boundary extends Component<
  { children: ReactNode; instead: (error: Error, retry: () => void) => ReactNode },
  { error: Error | null }
> {
  override state: { error: Error | null } = { error: null };

  static getDerivedStateFromError(error: Error) {
    return { error };
  }

  override render(): ReactNode {
    const { error } = this.state;
    if (!error) return this.props.children;
    return this.props.instead(error, () => this.setState({ error: null }));
  }
}

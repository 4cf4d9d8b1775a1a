import { Component, type ReactNode } from 'react';
import { Message } from './Message.js';

/** What failed on a screen is said, not shown as a white page; React offers this to classes only. */
export class ErrorBoundary extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError(): { failed: boolean } {
    return { failed: true };
  }

  override render(): ReactNode {
    if (!this.state.failed) return this.props.children;
    return (
      <Message
        title="This screen could not be shown"
        detail="The server may have stopped before the screen was fetched. What you entered is kept on this device."
        action={{ label: 'Load again', run: () => location.reload() }}
      />
    );
  }
}

'use client';

import { Component, type ReactNode } from 'react';
import { Button } from './Button';
import { Acts } from './Page';
import { Trouble } from './Trouble';

interface PanelBoundaryProps {
  /** What the panel is, for the sentence: “the picture”. */
  readonly what: string;
  readonly children: ReactNode;
}

/** Keeps a part that breaks, or can't be fetched, from taking the page with it. */
export class PanelBoundary extends Component<PanelBoundaryProps, { readonly isBroken: boolean }> {
  override state = { isBroken: false };

  static getDerivedStateFromError(): { readonly isBroken: boolean } {
    return { isBroken: true };
  }

  override render(): ReactNode {
    if (!this.state.isBroken) return this.props.children;
    return (
      <>
        <Trouble>
          {this.props.what} could not be opened: perhaps there is no connection. All else works.
        </Trouble>
        <Acts>
          <Button onPress={() => this.setState({ isBroken: false })}>Try again</Button>
        </Acts>
      </>
    );
  }
}

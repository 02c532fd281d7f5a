'use client';

import dynamic from 'next/dynamic';
import type { ConfirmProps } from './ConfirmOverlay';
import { PanelBoundary } from './PanelBoundary';

const ConfirmOverlay = dynamic(() => import('./ConfirmOverlay').then(file => file.ConfirmOverlay), {
  ssr: false,
});

/** Asks before something that can't be taken back. */
export function ConfirmDialog(props: ConfirmProps) {
  return (
    <PanelBoundary what="The question before it">
      <ConfirmOverlay {...props} />
    </PanelBoundary>
  );
}

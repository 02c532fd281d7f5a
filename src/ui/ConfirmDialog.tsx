'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import type { ConfirmProps } from './ConfirmOverlay';
import { PanelBoundary } from './PanelBoundary';

const load = () => import('./ConfirmOverlay').then(file => file.ConfirmOverlay);
const ConfirmOverlay = dynamic(load, { ssr: false });

/** Fetches the dialog once the page takes input, so that it is there when its button is pressed. */
export function useConfirmDialogSoon(): void {
  useEffect(() => {
    load().catch(() => undefined); // without a connection it is asked for again when it is pressed
  }, []);
}

/** Asks before something that can't be taken back. */
export function ConfirmDialog(props: ConfirmProps) {
  return (
    <PanelBoundary what="The question before it">
      <ConfirmOverlay {...props} />
    </PanelBoundary>
  );
}

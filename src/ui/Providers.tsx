'use client';

import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect } from 'react';
import { I18nProvider, RouterProvider } from 'react-aria-components';
import { LateToasts } from './toasts/LateToasts';

interface ProvidersProps {
  readonly locale: string;
  readonly children: ReactNode;
}

/** Language and routing for React Aria; says on `<html data-ready>` when the page takes input. */
export function Providers({ locale, children }: ProvidersProps) {
  const router = useRouter();
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
    performance.mark('ready'); // what the bench reads
  }, []);
  useEffect(keepFocusLater, []);
  return (
    <I18nProvider locale={locale}>
      <RouterProvider navigate={router.push}>
        {children}
        <LateToasts />
      </RouterProvider>
    </I18nProvider>
  );
}

/** Comes after what a press needs. Without a connection it does not come, and the browser's own way with the focus stays. */
function keepFocusLater(): () => void {
  let end = (): void => {};
  let isOver = false;
  import('./focus/keep-focus').then(
    ({ keepFocus }) => {
      if (!isOver) end = keepFocus(document);
    },
    () => {},
  );
  return () => {
    isOver = true;
    end();
  };
}

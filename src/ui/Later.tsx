import { type ReactNode, Suspense } from 'react';

/** A part further down a long page: made ready for input after what stands above it. */
export function Later({ children }: { readonly children: ReactNode }) {
  return <Suspense fallback={null}>{children}</Suspense>;
}

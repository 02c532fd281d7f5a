import { type ReactNode, Suspense } from 'react';
import { styled } from 'styled-components';

/** A part further down a long page: painted when it comes near, and made ready for input after what stands above it. */
export function Later({ children }: { readonly children: ReactNode }) {
  return <Suspense fallback={null}><Near>{children}</Near></Suspense>;
}

const Near = styled.div`
  content-visibility: auto; contain-intrinsic-size: auto 480px; display: grid; grid-template-columns: minmax(0, 1fr);
`;

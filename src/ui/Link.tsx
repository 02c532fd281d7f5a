'use client';

import NextLink, { useLinkStatus } from 'next/link';
import type { ComponentProps } from 'react';
import { keyframes, styled } from 'styled-components';

/** A link to another page. While that is on its way, a line runs along the top, so that nobody presses twice. */
export function Link({ children, ...props }: ComponentProps<typeof NextLink>) {
  return (
    <NextLink {...props}>
      {children}
      <OnItsWay />
    </NextLink>
  );
}

function OnItsWay() {
  const { pending } = useLinkStatus();
  return pending ? <Line aria-hidden="true" data-on-its-way="" /> : null;
}

const come = keyframes`
  from { opacity: 0; } to { opacity: 1; }
`;
const run = keyframes`
  from { transform: scaleX(0); } to { transform: scaleX(0.9); }
`;

/** What is there at once needs no line: it comes after a quarter of a second. */
const Line = styled.i`
  position: fixed; inset: 0 0 auto 0; z-index: 50; block-size: 4px; background: var(--clay); pointer-events: none; transform-origin: left;
  animation: ${come} 1ms 250ms both, ${run} 8s 250ms cubic-bezier(0.1, 0.7, 0.3, 1) both;
  @media (prefers-reduced-motion: reduce) { animation: ${come} 1ms 250ms both; }
`;

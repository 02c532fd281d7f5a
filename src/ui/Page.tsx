'use client';

import { styled } from 'styled-components';

/** What lies under the rail: the same margins on every page. */
export const Page = styled.main.attrs({ id: 'page', tabIndex: -1 })`
  max-width: 1440px; margin-inline: auto; padding: 24px 32px 48px; display: grid; gap: 24px; align-content: start;
  & > * { min-width: 0; }
  &:focus { outline: none; } /* only led to, never stopped at */
  @media (max-width: 640px) { padding: 16px 16px 88px; }
`;

/** Two parts beside each other, on a phone below each other. */
export const TwoParts = styled.div`
  display: grid; grid-template-columns: minmax(0, 7fr) minmax(0, 5fr); gap: 40px; align-items: start;
  & > * { min-width: 0; display: grid; grid-template-columns: minmax(0, 1fr); gap: 16px; align-content: start; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); gap: 24px; }
`;

/** Second voice. */
export const Soft = styled.p`
  color: var(--ink-soft); font-size: 0.9375rem;
`;

/** Buttons of one act in a row. */
export const Acts = styled.div`
  display: flex; flex-wrap: wrap; gap: 8px 16px; align-items: center;
`;

/** Something to mind just now: a straw bar beside it. */
export const Mind = styled.p`
  border-left: 3px solid var(--straw); padding-left: 12px; max-width: var(--measure);
`;

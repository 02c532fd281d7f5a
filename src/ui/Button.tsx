'use client';

import { Button as AriaButton } from 'react-aria-components';
import { styled } from 'styled-components';

/** The push button. `data-tone="main"` marks the one act of a screen, `quiet` one among many. */
export const Button = styled(AriaButton)`
  min-height: 40px; padding: 8px 16px; border: 1px solid var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink);
  font-weight: 600; cursor: pointer; display: inline-flex; gap: 8px; align-items: center; justify-content: center;
  &[data-hovered] { border-color: var(--ink); }
  &[data-pressed] { transform: translateY(1px); }
  &[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: 2px; }
  &[data-tone='main'] { background: var(--clay); border-color: var(--clay); color: var(--on-clay); padding: 10px 20px; }
  &[data-tone='quiet'] { background: none; border-color: transparent; text-decoration: underline; text-underline-offset: 3px; text-decoration-color: var(--rule-strong); padding-inline: 4px; font-weight: 500; }
  &[data-tone='quiet'][data-hovered] { text-decoration-color: var(--ink); }
  &[data-disabled], &[data-pending] { color: var(--ink-soft); background: var(--slate-deep); border-color: var(--rule); cursor: default; }
  &[data-tone='quiet'][data-disabled] { background: none; border-color: transparent; text-decoration: none; }
  @media (pointer: coarse) { min-height: 48px; }
`;

import { styled } from 'styled-components';

/** A list of ways to choose among: each a link with its name and a line of what it is. */
export const WaysList = styled.ul`
  list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); column-gap: 40px;
  & li { border-top: 1px solid var(--rule); }
  & a { display: grid; gap: 2px; padding: 14px 0; text-decoration: none; min-height: 84px; align-content: start; }
  & b { font-family: var(--font-heading), sans-serif; font-size: 1.125rem; font-weight: 650; line-height: 1.2; }
  & span { color: var(--ink-soft); font-size: 0.9375rem; }
  & a:hover b { color: var(--clay); text-decoration: underline; text-underline-offset: 3px; }
  @media (max-width: 1000px) { grid-template-columns: repeat(2, minmax(0, 1fr)); }
  @media (max-width: 640px) { grid-template-columns: minmax(0, 1fr); & a { min-height: 64px; } }
`;

import { styled } from 'styled-components';

/** A part of the page of other gardens. */
export const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr); border-top: 1px solid var(--rule); padding-top: 16px; justify-items: start;
  & > * { max-width: 100%; }
  & > p { max-width: var(--measure); }
  & > ul { margin: 0; padding-left: 20px; }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(200px, 1fr)); gap: 12px; align-items: start; width: 100%; }
  & a[data-button] { display: inline-flex; align-items: center; min-height: 40px; padding: 8px 16px; border: 1px solid var(--rule-strong); border-radius: 2px; background: var(--paper); color: var(--ink); font-weight: 600; text-decoration: none; }
  & a[data-button]:hover { border-color: var(--ink); }
  & > [role='region'] { width: 100%; }
  @media (pointer: coarse) { & a[data-button] { min-height: 48px; } }
`;

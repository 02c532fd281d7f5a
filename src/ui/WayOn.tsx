import { styled } from 'styled-components';
import { Link } from '@/ui/Link';

/** The way to what comes next, as the one strong thing of a screen. */
export const WayOn = styled(Link)`
  display: inline-flex; align-items: center; width: fit-content; min-height: 44px; padding: 10px 20px; border-radius: 2px; background: var(--clay); color: var(--on-clay); font-weight: 600; text-decoration: none;
  &:hover { text-decoration: underline; text-underline-offset: 3px; }
  @media (pointer: coarse) { min-height: 48px; }
`;

import { styled } from 'styled-components';

/** What stands in the way, beside the act it belongs to. Read out when it appears. */
export const Trouble = styled.p.attrs({ role: 'alert' })`
  color: var(--beet); font-weight: 600; border-left: 3px solid var(--beet); padding-left: 10px;
`;

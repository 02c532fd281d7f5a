'use client';

import { styled } from 'styled-components';

interface PickUnitsProps {
  readonly codes: readonly string[];
  readonly chosen: readonly string[];
  readonly choose: (codes: readonly string[]) => void;
  readonly trouble?: string | undefined;
}

/** Units by their codes, to be ticked: which of them got it. */
export function PickUnits({ codes, chosen, choose, trouble }: PickUnitsProps) {
  return (
    <Codes>
      <legend>Which</legend>
      {codes.map(code => (
        <label key={code}>
          <input
            type="checkbox"
            checked={chosen.includes(code)}
            onChange={event =>
              choose(
                event.target.checked ? [...chosen, code] : chosen.filter(each => each !== code),
              )
            }
          />{' '}
          {code}
        </label>
      ))}
      {trouble && <b>{trouble}</b>}
    </Codes>
  );
}

const Codes = styled.fieldset`
  border: 0; padding: 0; margin: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(76px, 1fr)); gap: 2px 8px;
  & legend { font-weight: 600; font-size: 0.9375rem; padding: 0; }
  & label { display: flex; gap: 8px; align-items: center; min-height: 32px; font-variant-numeric: tabular-nums slashed-zero; }
  & input { width: 18px; height: 18px; accent-color: var(--clay); }
  & b { grid-column: 1 / -1; color: var(--beet); }
  @media (pointer: coarse) { & label { min-height: 48px; } }
`;

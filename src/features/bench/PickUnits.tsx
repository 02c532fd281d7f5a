'use client';

import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { Tick } from '@/ui/fields/Tick';

interface PickUnitsProps {
  readonly codes: readonly string[];
  readonly chosen: readonly string[];
  readonly choose: (codes: readonly string[]) => void;
  readonly trouble?: string | undefined;
  /** Several at once: all, or a block. */
  readonly groups?: readonly { readonly label: string; readonly codes: readonly string[] }[];
}

/** Units by their codes, to be ticked: which of them got it. */
export function PickUnits({ codes, chosen, choose, trouble, groups = [] }: PickUnitsProps) {
  return (
    <Codes data-invalid={trouble !== undefined || undefined}>
      <legend>Which</legend>
      {groups.length > 0 && (
        <div>
          {groups.map(group => (
            <Button key={group.label} data-tone="quiet" onPress={() => choose(group.codes)}>
              {group.label}
            </Button>
          ))}
          <Button data-tone="quiet" onPress={() => choose([])}>
            None
          </Button>
        </div>
      )}
      {codes.map(code => (
        <Tick
          key={code}
          isOn={chosen.includes(code)}
          onChange={isOn => choose(isOn ? [...chosen, code] : chosen.filter(each => each !== code))}
        >
          {code}
        </Tick>
      ))}
      {trouble && <b>{trouble}</b>}
    </Codes>
  );
}

const Codes = styled.fieldset`
  border: 0; padding: 0; margin: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(4.75rem, 1fr)); gap: 2px 8px; min-width: 0;
  & legend { font-weight: 600; font-size: 0.9375rem; padding: 0; }
  & label { display: flex; gap: 8px; align-items: center; min-height: 32px; font-variant-numeric: tabular-nums slashed-zero; }
  & input { width: 18px; height: 18px; accent-color: var(--clay); }
  & div { grid-column: 1 / -1; display: flex; flex-wrap: wrap; gap: 4px 16px; }
  & b { grid-column: 1 / -1; color: var(--beet); }
  @media (pointer: coarse) { & label { min-height: 48px; } }
`;

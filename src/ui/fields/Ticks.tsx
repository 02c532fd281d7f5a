'use client';

import { styled } from 'styled-components';
import { useDoneBefore } from './use-done-before';

interface TicksProps<Value extends string | number> {
  readonly legend: string;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly chosen: readonly Value[];
  readonly onChange: (chosen: readonly Value[]) => void;
  /** The tick that stands for none of the others: `all alike`. */
  readonly none?: string;
  readonly trouble?: string | undefined;
  /** Many of them stand in columns. */
  readonly isInColumns?: boolean;
}

/** Any number of a few, with a box to tick for each. */
export function Ticks<Value extends string | number>({
  legend,
  options,
  chosen,
  onChange,
  none,
  trouble,
  isInColumns,
}: TicksProps<Value>) {
  const toggle = (value: Value, isOn: boolean): void =>
    onChange(isOn ? [...chosen, value] : chosen.filter(each => each !== value));
  const places = options.flatMap(({ value }, at) => (chosen.includes(value) ? [`${at}`] : []));
  const box = useDoneBefore<HTMLFieldSetElement, string>(tickedIn, places.join(' '), ticked => {
    const on = ticked.split(' ');
    onChange(options.filter((_, at) => on.includes(`${at}`)).map(({ value }) => value));
  });
  return (
    <Box
      ref={box}
      data-columns={isInColumns || undefined}
      data-invalid={trouble !== undefined || undefined}
    >
      <legend>{legend}</legend>
      {none !== undefined && (
        <label>
          <input type="checkbox" checked={chosen.length === 0} onChange={() => onChange([])} />{' '}
          {none}
        </label>
      )}
      {options.map(({ value, label }, at) => (
        <label key={value}>
          <input
            type="checkbox"
            data-at={at}
            autoComplete="off"
            checked={chosen.includes(value)}
            onChange={event => toggle(value, event.target.checked)}
          />{' '}
          {label}
        </label>
      ))}
      {trouble !== undefined && <b>{trouble}</b>}
    </Box>
  );
}

/** The places of what is ticked: `0 3`. */
function tickedIn(box: HTMLElement): string {
  const ticked = box.querySelectorAll<HTMLInputElement>('input[data-at]:checked');
  return [...ticked].map(each => each.dataset.at).join(' ');
}

const Box = styled.fieldset`
  border: 0; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 4px 20px; align-items: center;
  &[data-columns] > legend { margin-bottom: 4px; }
  &[data-columns] { display: grid; grid-template-columns: repeat(auto-fill, minmax(190px, 1fr)); gap: 4px 16px; }
  & > legend { font-weight: 600; font-size: 0.9375rem; padding: 0; }
  & > label { display: flex; gap: 8px; align-items: center; min-height: 32px; }
  & > b { color: var(--beet); }
  & input { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  @media (pointer: coarse) { & > label { min-height: 48px; } }
`;

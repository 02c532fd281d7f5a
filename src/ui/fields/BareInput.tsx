import type { ComponentProps } from 'react';
import { useDoneBefore } from './use-done-before';

type BareInputProps = Omit<ComponentProps<'input'>, 'onChange' | 'value' | 'ref'> & {
  readonly 'aria-label': string;
  readonly value: string;
  readonly onChange: (written: string) => void;
};

/** A line to write on that looks as what it stands in says: a cell of a grid, a code. It needs a label to be read out. */
export function BareInput({ value, onChange, ...props }: BareInputProps) {
  const line = useDoneBefore<HTMLInputElement, string>(each => each.value, value, onChange);
  return (
    <input
      ref={line}
      autoComplete="off"
      value={value}
      onChange={event => onChange(event.target.value)}
      {...props}
    />
  );
}

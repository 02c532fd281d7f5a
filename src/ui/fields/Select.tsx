'use client';

import { useId } from 'react';
import { styled } from 'styled-components';
import { useDoneBefore } from './use-done-before';

export interface SelectProps<Value extends string> {
  readonly label: string;
  readonly name: string;
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly options: readonly { readonly value: Value; readonly label: string }[];
  readonly trouble?: string | undefined;
  readonly isReadOnly?: boolean;
  /** For a row whose label is plain to see: it is only read out. */
  readonly hidesLabel?: boolean;
}

/** One of many, where all of them at once would fill the page: the system's own list, made for fingers and screen readers. */
export function Select<Value extends string>({
  label,
  name,
  value,
  onChange,
  options,
  trouble,
  isReadOnly,
  hidesLabel,
}: SelectProps<Value>) {
  const id = useId();
  const choose = (chosen: string): void => {
    const option = options.find(each => each.value === chosen);
    if (option) onChange(option.value);
  };
  // Where what is held is none of the options, the browser shows the first: nobody chose that.
  const isOffered = options.some(each => each.value === value);
  const list = useDoneBefore<HTMLSelectElement, string>(
    each => (isOffered ? each.value : undefined),
    value,
    choose,
  );
  return (
    <Field data-invalid={trouble !== undefined || undefined}>
      {!hidesLabel && <label htmlFor={id}>{label}</label>}
      <select
        ref={list}
        autoComplete="off"
        id={id}
        name={name}
        aria-label={hidesLabel ? label : undefined}
        value={value}
        disabled={isReadOnly}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble === undefined ? undefined : `${id}-trouble`}
        onChange={event => choose(event.target.value)}
      >
        {options.map(option => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
      {trouble !== undefined && <b id={`${id}-trouble`}>{trouble}</b>}
    </Field>
  );
}

const Field = styled.div`
  display: grid; gap: 4px; align-content: start;
  & label { font-weight: 600; font-size: 0.9375rem; }
  & select { min-height: 40px; padding: 6px 10px; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); border-radius: 2px 2px 0 0; width: 100%; }
  & select:disabled { opacity: 1; color: var(--ink); background: none; border-color: var(--rule); }
  &[data-invalid] select { border-color: var(--beet); }
  & b { color: var(--beet); font-size: 0.9375rem; }
  @media (pointer: coarse) { & select { min-height: 48px; } }
`;

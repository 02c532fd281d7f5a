'use client';

import type { ReactNode } from 'react';
import { FieldError, Label, Radio, RadioGroup } from 'react-aria-components';
import { styled } from 'styled-components';
import { useDoneBefore } from './use-done-before';

interface ChoiceProps<Value extends string> {
  readonly label: string;
  readonly name: string;
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly options: readonly {
    readonly value: Value;
    readonly label: ReactNode;
    readonly hint?: ReactNode;
  }[];
  readonly trouble?: string | undefined;
  readonly isReadOnly?: boolean;
  readonly direction?: 'row' | 'column';
}

/** One of a few: all of them are seen at once. */
export function Choice<Value extends string>({
  label,
  name,
  value,
  onChange,
  options,
  trouble,
  isReadOnly,
  direction = 'column',
}: ChoiceProps<Value>) {
  const choose = (chosen: string): void => {
    const option = options.find(candidate => candidate.value === chosen);
    if (option) onChange(option.value);
  };
  const group = useDoneBefore<HTMLDivElement, string>(chosenIn, value, choose);
  return (
    <Group
      ref={group}
      name={name}
      value={value}
      onChange={choose}
      isInvalid={trouble !== undefined}
      isReadOnly={isReadOnly ?? false}
      data-direction={direction}
      validationBehavior="aria"
    >
      <Label>{label}</Label>
      <div>
        {options.map(option => (
          <Option key={option.value} value={option.value}>
            <i aria-hidden />
            <span>
              <span>{option.label}</span>
              {option.hint && <small>{option.hint}</small>}
            </span>
          </Option>
        ))}
      </div>
      <FieldError>{trouble}</FieldError>
    </Group>
  );
}

function chosenIn(group: HTMLElement): string | undefined {
  return group.querySelector<HTMLInputElement>('input:checked')?.value;
}

const Group = styled(RadioGroup)`
  display: grid; gap: 4px;
  & > label, & > span:first-child { font-weight: 600; font-size: 0.9375rem; }
  & > div { display: grid; }
  &[data-direction='row'] > div { display: flex; flex-wrap: wrap; column-gap: 24px; }
  & .react-aria-FieldError { color: var(--beet); font-weight: 600; font-size: 0.9375rem; }
`;

const Option = styled(Radio)`
  display: flex; gap: 10px; align-items: flex-start; padding: 5px 0; cursor: pointer; min-height: 32px;
  & > i { flex: none; width: 18px; height: 18px; margin-top: 3px; border: 2px solid var(--rule-strong); border-radius: 50%; background: var(--paper); }
  &[data-selected] > i { border: 6px solid var(--clay); }
  &[data-focus-visible] > i { outline: 3px solid var(--clay); outline-offset: 2px; }
  &[data-selected] { font-weight: 600; }
  & small { display: block; font-size: 0.9375rem; color: var(--ink-soft); font-weight: 400; max-width: 60ch; }
  @media (pointer: coarse) { min-height: 48px; align-items: center; & > i { margin-top: 0; } }
`;

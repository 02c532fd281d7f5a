'use client';

import { type HTMLAttributes, type ReactNode, type Ref, useEffect, useRef } from 'react';
import {
  TextField as AriaTextField,
  FieldError,
  Input,
  Label,
  Text,
  TextArea,
} from 'react-aria-components';
import { styled } from 'styled-components';

interface TextFieldProps {
  readonly label: string;
  readonly name: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly trouble?: string | undefined;
  readonly hint?: ReactNode;
  readonly type?: 'text' | 'date' | 'password';
  readonly inputMode?: HTMLAttributes<HTMLInputElement>['inputMode'];
  readonly isLong?: boolean;
  readonly isBig?: boolean;
  readonly placeholder?: string;
  readonly isReadOnly?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  /** For a row whose label is plain to see: it is only read out. */
  readonly hidesLabel?: boolean;
}

const MOST_ROWS = 10; // a long text shows its lines, a very long one scrolls

/** A labelled line to write on; what is wrong with it stands right under it, and what was typed stays. */
export function TextField({
  label,
  name,
  value,
  onChange,
  trouble,
  hint,
  type = 'text',
  inputMode,
  isLong,
  isBig,
  placeholder,
  isReadOnly,
  inputRef,
  hidesLabel,
}: TextFieldProps) {
  const field = useTypedBefore(value, onChange);
  return (
    <Field
      ref={field}
      name={name}
      value={value}
      onChange={onChange}
      isInvalid={trouble !== undefined}
      isReadOnly={isReadOnly ?? false}
      type={type}
      validationBehavior="aria"
      data-hides-label={hidesLabel || undefined}
    >
      <Label>{label}</Label>
      {isLong ? (
        <TextArea
          rows={Math.min(MOST_ROWS, Math.max(2, value.split('\n').length))}
          placeholder={placeholder}
        />
      ) : (
        <Input
          ref={inputRef}
          inputMode={inputMode}
          autoComplete="off"
          placeholder={placeholder}
          data-big={isBig || undefined}
        />
      )}
      {hint && <Text slot="description">{hint}</Text>}
      <FieldError>{trouble}</FieldError>
    </Field>
  );
}

/** What was typed before the page's scripts were there, on a slow phone, is taken over and not lost. */
function useTypedBefore(value: string, onChange: (value: string) => void): Ref<HTMLDivElement> {
  const field = useRef<HTMLDivElement>(null);
  const first = useRef({ value, onChange });
  useEffect(() => {
    const typed = field.current?.querySelector<HTMLInputElement>('input, textarea')?.value ?? '';
    if (typed !== '' && typed !== first.current.value) first.current.onChange(typed);
  }, []);
  return field;
}

const Field = styled(AriaTextField)`
  display: grid; gap: 4px; align-content: start;
  & label { font-weight: 600; font-size: 0.9375rem; }
  &[data-hides-label] label { position: absolute; clip-path: inset(50%); width: 1px; height: 1px; overflow: hidden; white-space: nowrap; }
  & input, & textarea {
    width: 100%; min-height: 40px; padding: 6px 10px; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); border-radius: 2px 2px 0 0; resize: vertical;
  }
  & input[data-big] { font-family: var(--font-heading), sans-serif; font-size: 2.5rem; font-weight: 650; line-height: 1.1; padding-block: 4px; }
  & input::placeholder { color: var(--ink-soft); opacity: 1; }
  &[data-invalid] input, &[data-invalid] textarea { border-color: var(--beet); }
  &[data-readonly] input, &[data-readonly] textarea { background: none; border-color: var(--rule); }
  & [slot='description'] { color: var(--ink-soft); font-size: 0.9375rem; max-width: var(--measure); }
  & .react-aria-FieldError { color: var(--beet); font-weight: 600; font-size: 0.9375rem; }
  @media (pointer: coarse) { & input { min-height: 48px; } }
`;

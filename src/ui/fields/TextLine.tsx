'use client';

import { type HTMLAttributes, type ReactNode, type Ref, useId } from 'react';
import { FieldError, Input, Label, Text, TextArea } from 'react-aria-components';
import { Field } from './Field';
import { useDoneBefore, writtenIn } from './use-done-before';

export interface TextLineProps {
  readonly label: string;
  readonly name: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly trouble?: string | undefined;
  readonly hint?: ReactNode;
  readonly type?: 'text' | 'password';
  readonly inputMode?: HTMLAttributes<HTMLInputElement>['inputMode'];
  readonly isLong?: boolean;
  readonly isBig?: boolean;
  readonly placeholder?: string;
  readonly isReadOnly?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  /** For a row whose label is plain to see: it is only read out. */
  readonly hidesLabel?: boolean;
  /** What is often written here: the system offers what fits, and anything else can be written. */
  readonly suggestions?: readonly string[];
}

const MOST_ROWS = 10; // a long text shows its lines, a very long one scrolls

/** A browser ends lines in its own way, and holds one line where there is room for one. */
const asBrowsersHold = (text: string, isLong = false): string =>
  isLong ? text.replaceAll('\r\n', '\n') : text.replaceAll(/[\r\n]/g, '');

/** A labelled line to write words or figures on; what is wrong with it stands right under it, and what was typed stays. */
export function TextLine({
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
  suggestions,
}: TextLineProps) {
  const field = useDoneBefore<HTMLDivElement, string>(
    writtenIn,
    asBrowsersHold(value, isLong),
    onChange,
  );
  const listId = useId();
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
          list={suggestions && !isReadOnly ? listId : undefined}
          data-big={isBig || undefined}
        />
      )}
      {suggestions && !isReadOnly && (
        <datalist id={listId}>
          {suggestions.map(each => (
            <option key={each} value={each} />
          ))}
        </datalist>
      )}
      {hint && <Text slot="description">{hint}</Text>}
      <FieldError>{trouble}</FieldError>
    </Field>
  );
}

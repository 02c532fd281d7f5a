'use client';

import { DateField } from '../dates/DateField';
import { TextLine, type TextLineProps } from './TextLine';

interface TextFieldProps extends Omit<TextLineProps, 'type'> {
  /** A day is written and chosen as the garden's own people write it; its value is `2026-11-30`. */
  readonly type?: TextLineProps['type'] | 'date';
}

/** A line to write on, or a day to choose: where it can only be a line, TextLine brings less script. */
export function TextField({ type, ...props }: TextFieldProps) {
  return type === 'date' ? (
    <DateField {...props} />
  ) : (
    <TextLine {...props} {...(type && { type })} />
  );
}

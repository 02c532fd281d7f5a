'use client';

import { CalendarDays } from 'lucide-react';
import dynamic from 'next/dynamic';
import { type ReactNode, useId, useRef, useState } from 'react';
import {
  Button as AriaButton,
  FieldError,
  Input,
  Label,
  Text,
  useLocale,
} from 'react-aria-components';
import { styled } from 'styled-components';
import { Field } from '@/ui/fields/Field';
import { useDoneBefore, writtenIn } from '@/ui/fields/use-done-before';
import { PanelBoundary } from '@/ui/PanelBoundary';
import { readWrittenDay, writeDay } from './written-day';

// Most days are written; its code comes when it is opened.
const MonthPopover = dynamic(() => import('./MonthPopover').then(file => file.MonthPopover), {
  ssr: false,
});

interface DateFieldProps {
  readonly label: string;
  readonly name: string;
  /** `2026-11-30`; what can't be read as a day stands as it was typed. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly trouble?: string | undefined;
  readonly hint?: ReactNode;
  readonly isReadOnly?: boolean;
  readonly hidesLabel?: boolean;
}

/** A day: written in any usual way, shown as the garden's own people write it, or chosen on a calendar. */
export function DateField(props: DateFieldProps) {
  const { label, name, value, onChange, trouble, hint, isReadOnly = false, hidesLabel } = props;
  const { locale } = useLocale();
  const order = locale === 'en-US' ? 'month-first' : 'day-first';
  // Under the hand it stands as it is typed.
  const [typed, setTyped] = useState<string>();
  const [isOpen, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const labelId = useId();
  const change = (written: string): void => {
    setTyped(written);
    onChange(readWrittenDay(written, order) ?? written);
  };
  const field = useDoneBefore<HTMLDivElement, string>(writtenIn, writeDay(value, order), change);
  return (
    <Field
      ref={field}
      name={name}
      value={typed ?? writeDay(value, order)}
      onChange={change}
      onBlur={() => setTyped(undefined)}
      isInvalid={trouble !== undefined}
      isReadOnly={isReadOnly}
      validationBehavior="aria"
      data-hides-label={hidesLabel || undefined}
    >
      <Label>{label}</Label>
      <span id={labelId} hidden>
        {label}
      </span>
      <Written>
        <Input
          autoComplete="off"
          placeholder={order === 'month-first' ? '11/30/2026' : '30/11/2026'}
        />
        {!isReadOnly && (
          <AriaButton
            ref={opener}
            aria-label="Open the calendar"
            aria-describedby={labelId}
            aria-haspopup="dialog"
            aria-expanded={isOpen}
            onPress={() => setOpen(!isOpen)}
          >
            <CalendarDays size={20} aria-hidden />
          </AriaButton>
        )}
      </Written>
      {isOpen && (
        <PanelBoundary what="The calendar">
          <MonthPopover
            opener={opener}
            label={label}
            day={readWrittenDay(value, order)}
            choose={day => {
              setTyped(undefined);
              onChange(day);
            }}
            close={() => setOpen(false)}
          />
        </PanelBoundary>
      )}
      {hint && <Text slot="description">{hint}</Text>}
      <FieldError>{trouble}</FieldError>
    </Field>
  );
}

const Written = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) auto;
  & button { min-width: 40px; min-height: 40px; display: grid; place-items: center; background: var(--paper); border: 0; border-bottom: 2px solid var(--rule-strong); color: var(--ink-soft); cursor: pointer; }
  & button[data-hovered] { color: var(--ink); }
  & button[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: -3px; }
  @media (pointer: coarse) { & button { min-width: 48px; min-height: 48px; } }
`;

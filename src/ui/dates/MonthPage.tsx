'use client';

import { parseDate } from '@internationalized/date';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import {
  Button as AriaButton,
  Calendar,
  CalendarCell,
  CalendarGrid,
  Heading,
} from 'react-aria-components';
import { styled } from 'styled-components';

interface MonthPageProps {
  readonly day: string | undefined;
  readonly choose: (day: string) => void;
}

/** A month to choose a day on. */
export function MonthPage({ day, choose }: MonthPageProps) {
  return (
    <Month
      aria-label="Calendar"
      value={day === undefined ? null : parseDate(day)}
      onChange={chosen => choose(chosen.toString())}
    >
      <header>
        <AriaButton slot="previous">
          <ChevronLeft size={20} aria-hidden />
        </AriaButton>
        <Heading />
        <AriaButton slot="next">
          <ChevronRight size={20} aria-hidden />
        </AriaButton>
      </header>
      <CalendarGrid>{date => <CalendarCell date={date} />}</CalendarGrid>
    </Month>
  );
}

const Month = styled(Calendar)`
  background: var(--paper); color: var(--ink); border: 1px solid var(--rule-strong); border-radius: 2px; padding: 12px; font-variant-numeric: tabular-nums;
  & header { display: flex; align-items: center; justify-content: space-between; }
  & h2 { margin: 0; font-size: 1rem; }
  & button { min-width: 40px; min-height: 40px; display: grid; place-items: center; background: none; border: 0; color: var(--ink); cursor: pointer; }
  & button[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: -3px; }
  & th { color: var(--ink-soft); font-size: 0.875rem; font-weight: 400; padding: 4px; }
  & td { padding: 0; text-align: center; }
  & .react-aria-CalendarCell { min-width: 40px; min-height: 40px; display: grid; place-items: center; cursor: pointer; border-radius: 2px; }
  & .react-aria-CalendarCell[data-outside-month] { visibility: hidden; }
  & .react-aria-CalendarCell[data-hovered] { background: var(--slate-deep); }
  & .react-aria-CalendarCell[data-selected] { background: var(--clay); color: var(--on-clay); }
  & .react-aria-CalendarCell[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: 2px; }
  @media (pointer: coarse) { & .react-aria-CalendarCell, & button { min-width: 44px; min-height: 44px; } }
`;

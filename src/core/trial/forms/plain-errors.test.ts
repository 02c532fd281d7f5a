import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from './field-troubles';

const Form = z.object({
  on: CalendarDay,
  name: z.string().min(1).max(3),
  long: z.string().min(2),
  count: z.int().min(1).max(9),
  share: z.coerce.number(),
  kind: z.enum(['feed', 'water']),
  id: z.uuid(),
  codes: z.array(z.string()).min(1),
  either: z.union([z.literal(''), z.iso.date()]),
  own: z.string().min(1, 'Say what was done.'),
});

const good = {
  on: '2026-07-04',
  name: 'a',
  long: 'ab',
  count: 3,
  share: '4',
  kind: 'feed',
  id: '00000000-0000-7000-8000-000000000001',
  codes: ['A'],
  either: '',
  own: 'fed',
};

function saidOf(changes: Readonly<Record<string, unknown>>): string | undefined {
  const parsed = Form.safeParse({ ...good, ...changes });
  return parsed.success ? undefined : Object.values(fieldTroublesOf(parsed.error))[0];
}

test.each([
  [{ on: '2026-02-30' }, 'That is not a day of the calendar.'],
  [{ on: '41 July' }, 'That is not a day of the calendar.'],
  [{ on: undefined }, 'This is missing.'],
  [{ on: 7 }, 'That can’t be read here.'],
  [{ name: '' }, 'Write something.'],
  [{ name: 'abcd' }, 'At most 3 letters.'],
  [{ long: 'a' }, 'At least 2 letters.'],
  [{ count: 0 }, 'At least 1.'],
  [{ count: 10 }, 'At most 9.'],
  [{ count: 2.5 }, 'Write a whole number.'],
  [{ share: 'x' }, 'Write a number.'],
  [{ kind: 'beer' }, 'Choose one of those that are offered.'],
  [{ id: 'seven' }, 'That can’t be read here.'],
  [{ codes: [] }, 'At least 1.'],
  [{ either: '41 July' }, 'That is not a day of the calendar.'],
  [{ either: 7 }, 'That can’t be read here.'],
  [{ own: '' }, 'Say what was done.'],
])('%j: %s', (changes, says) => {
  expect(saidOf(changes)).toBe(says);
});

test('what is right is taken', () => {
  expect(saidOf({})).toBeUndefined();
});

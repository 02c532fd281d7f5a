'use client';
import { figures } from '@/core/materials/amount-words';
import { catchTest, emittersWeekly } from '@/core/materials/soil-and-water/watering';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import type { FieldOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import type { ReadAmount } from './read-amount';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

/** Litres from a drip line: by cups under it, since minutes are not litres. */
export function DripSum() {
  const inUnits = useAmountWords();
  const system = useSystem();
  const { names, perBase } = unitOfMeasure(system === 'us' ? 'us-floz' : 'ml');
  const unit = names[0] ?? '';
  const { form, field } = useForm({
    cups: unit === 'fl oz' ? '3.3 3.5 2.9 3.4' : '98 104 87 101',
    minutes: '10',
    each: '2',
    run: '30',
    times: '3',
  });
  const { cups, minutes, each, run, times } = form;
  const caught = cups
    .split(/[\s;]+/)
    .filter(part => part !== '')
    .map(part => Number(part.replace(',', '.')) * perBase);
  const isRead = caught.length >= 2 && caught.every(part => part > 0);
  const [m, e, r, t] = [
    readNumber(minutes, 0.5, 600),
    readNumber(each, 1, 50),
    readNumber(run, 1, 1440),
    readNumber(times, 1, 50),
  ];
  const test = isRead && m.base !== undefined ? catchTest(caught, m.base) : undefined;
  const weekly =
    test && e.base !== undefined && r.base !== undefined && t.base !== undefined
      ? emittersWeekly(e.base, test.meanMlPerMinute * 60, r.base / 60, t.base)
      : undefined;
  return (
    <Sum
      title="A drip line"
      lead="Set a cup under several emitters for some minutes: a timer counts minutes, and plants drink water."
    >
      <DripFields unit={unit} field={field} isRead={isRead} m={m} e={e} r={r} t={t} />
      {weekly !== undefined && <output>{inUnits(weekly, 'volume')} a plant and week</output>}
      {test && (
        <p>
          {test.isEven
            ? `The emitters differ by ${figures(test.cvPercent)}%: even enough.`
            : `The emitters differ by ${figures(test.cvPercent)}%: some plants drink more. Clean or change the weak ones, or water by can.`}
        </p>
      )}
    </Sum>
  );
}

interface DripFieldsProps {
  /** Of the cups. */
  readonly unit: string;
  readonly field: FieldOf<{
    cups: string;
    minutes: string;
    each: string;
    run: string;
    times: string;
  }>;
  readonly isRead: boolean;
  readonly m: ReadAmount;
  readonly e: ReadAmount;
  readonly r: ReadAmount;
  readonly t: ReadAmount;
}

function DripFields({ unit, field, isRead, m, e, r, t }: DripFieldsProps) {
  return (
    <div data-fields>
      <TextField
        label={`In the cups, ${unit}`}
        {...field('cups')}
        trouble={isRead ? undefined : 'At least two amounts above 0.'}
      />
      <TextField
        label="after minutes"
        {...field('minutes')}
        trouble={m.trouble}
        inputMode="decimal"
      />
      <TextField
        label="Emitters a plant"
        {...field('each')}
        trouble={e.trouble}
        inputMode="numeric"
      />
      <TextField
        label="Runs for minutes"
        {...field('run')}
        trouble={r.trouble}
        inputMode="numeric"
      />
      <TextField label="Times a week" {...field('times')} trouble={t.trouble} inputMode="numeric" />
    </div>
  );
}

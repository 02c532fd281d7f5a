'use client';
import { type HeapWay, heatReached } from '@/core/materials/mix/compost-heat';
import { counted } from '@/core/words/plural';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

/** Whether a heap with manure was hot for long enough. */
export function HeatSum() {
  const { form, field } = useForm<{
    readonly days: string;
    readonly way: HeapWay;
    readonly turns: string;
  }>({ days: '48 56 61 63 60 52', way: 'windrow', turns: '1' });
  const { days, way, turns } = form;
  const daily = days
    .split(/[\s;]+/)
    .filter(each => each !== '')
    .map(each => Number(each.replace(',', '.')));
  const isRead =
    daily.length > 0 && daily.every(each => Number.isFinite(each) && each > -30 && each < 100);
  const t = readNumber(turns, 0, 100);
  const found = isRead && t.base !== undefined ? heatReached(daily, way, t.base) : undefined;
  return (
    <Sum
      title="A hot heap"
      lead="Its middle, day by day. Manure that was hot for long enough counts as compost; otherwise it waits 90 or 120 days before the harvest."
    >
      <div data-fields>
        <TextField
          label="°C, a number a day"
          {...field('days')}
          trouble={isRead ? undefined : 'Temperatures with spaces between them.'}
        />
        <Select
          label="It lies"
          {...field('way')}
          options={[
            { value: 'windrow', label: 'in the open, turned' },
            { value: 'vessel', label: 'in a closed bin' },
          ]}
        />
        <TextField
          label="Turned so often"
          {...field('turns')}
          trouble={t.trouble}
          inputMode="numeric"
        />
      </div>
      {found && (
        <output>
          {found.isEnough
            ? 'hot enough'
            : `${counted(found.days, 'hot day')} of ${found.neededDays}`}
        </output>
      )}
      {found && (
        <p>
          {found.isEnough
            ? 'It was at 55 °C or more for as long as it takes.'
            : `It takes ${found.neededDays} days on end at 55 °C or more${found.neededTurns === 0 ? '' : `, and ${found.neededTurns} turnings`}.`}
          {found.wasTooHot ? ' Above 77 °C the heap dies: turn or wet it.' : ''}
        </p>
      )}
    </Sum>
  );
}

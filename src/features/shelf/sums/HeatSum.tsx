'use client';
import { HEAT_C, type HeapWay, heatReached } from '@/core/materials/mix/compost-heat';
import {
  bareTemperature,
  printTemperature,
  readTemperature,
  scaleOf,
} from '@/core/quantity/temperature';
import { counted } from '@/core/words/plural';
import { useSystem } from '@/features/frame/use-garden-units';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

const EXAMPLE = [48, 56, 61, 63, 60, 52];

/** Whether a heap with manure was hot for long enough. */
export function HeatSum() {
  const system = useSystem();
  const { form, field } = useForm<{
    readonly days: string;
    readonly way: HeapWay;
    readonly turns: string;
  }>({
    days: EXAMPLE.map(day => bareTemperature(day, system)).join(' '),
    way: 'windrow',
    turns: '1',
  });
  const { days, way, turns } = form;
  const daily = days
    .split(/[\s;]+/)
    .filter(each => each !== '')
    .flatMap(each => readTemperature(each, system) ?? []);
  const isRead =
    daily.length > 0 &&
    daily.length === days.split(/[\s;]+/).filter(each => each !== '').length &&
    daily.every(each => each > -30 && each < 100);
  const t = readNumber(turns, 0, 100);
  const found = isRead && t.base !== undefined ? heatReached(daily, way, t.base) : undefined;
  return (
    <Sum
      title="A hot heap"
      lead="Its middle, day by day. Manure that was hot for long enough counts as compost; otherwise it waits 90 or 120 days before the harvest."
    >
      <div data-fields>
        <TextField
          label={`${scaleOf(system)}, a number a day`}
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
            ? `It was at ${printTemperature(HEAT_C.least, system)} or more for as long as it takes.`
            : `It takes ${found.neededDays} days on end at ${printTemperature(HEAT_C.least, system)} or more${found.neededTurns === 0 ? '' : `, and ${found.neededTurns} turnings`}.`}
          {found.wasTooHot
            ? ` Above ${printTemperature(HEAT_C.most, system)} the heap dies: turn or wet it.`
            : ''}
        </p>
      )}
    </Sum>
  );
}

'use client';

import { styled } from 'styled-components';
import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import { pluralOf } from '@/core/words/plural';
import type { BoundField } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import type { AssumedForm } from './size-assumptions';

interface SizeAssumptionsProps {
  readonly plan: PlannedTrial;
  readonly field: (key: keyof AssumedForm | 'minutes' | 'rounds') => BoundField<string>;
  readonly troubles: Partial<Record<keyof AssumedForm | 'minutes' | 'rounds', string | undefined>>;
  readonly marginUnit: string;
}

/** What the curve is reckoned from. */
export function SizeAssumptions({ plan, field, troubles, marginUnit }: SizeAssumptionsProps) {
  const { reading, unitWord } = plan;
  const level = levelLabel(plan, marginUnit);
  return (
    <Fields>
      <TextField
        label={spreadLabel(plan)}
        {...field('spread')}
        inputMode="decimal"
        trouble={troubles.spread}
      />
      {level && (
        <TextField label={level} {...field('level')} inputMode="decimal" trouble={troubles.level} />
      )}
      {reading.outcome === 'proportion' && (
        <TextField
          label={`Looked at in each ${unitWord}`}
          {...field('items')}
          inputMode="numeric"
          trouble={troubles.items}
        />
      )}
      <TextField
        label={`Minutes a ${unitWord} and round`}
        {...field('minutes')}
        inputMode="decimal"
        trouble={troubles.minutes}
      />
      <TextField
        label="Rounds in the season"
        {...field('rounds')}
        inputMode="numeric"
        trouble={troubles.rounds}
      />
    </Fields>
  );
}

function spreadLabel({ reading, unitWord }: PlannedTrial): string {
  const alike = `Two ${pluralOf(unitWord)} treated alike usually differ by`;
  switch (reading.outcome) {
    case 'continuous':
    case 'time':
      return `${alike}, %`;
    case 'count':
    case 'proportion':
      return `${alike}, beyond chance, %`;
    case 'ordinal':
      return `${alike}, steps`;
  }
}

/** undefined where nothing hangs on what an untreated unit gives. */
function levelLabel(
  { reading, margin, unitWord }: PlannedTrial,
  marginUnit: string,
): string | undefined {
  switch (reading.outcome) {
    case 'continuous':
      return margin?.kind === 'absolute'
        ? `An untreated ${unitWord} gives about${marginUnit === '' ? '' : `, ${marginUnit}`}`
        : undefined;
    case 'count':
      return `Counted on an untreated ${unitWord}, about`;
    case 'proportion':
      return 'Of 100 untreated, about';
    case 'ordinal':
      return 'Usual step of the untreated';
    case 'time':
      return 'The untreated take about, days';
  }
}

const Fields = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(180px, 1fr)); gap: 16px; align-items: end;
`;

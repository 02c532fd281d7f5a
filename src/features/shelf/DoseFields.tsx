'use client';

import type { Dispatch, SetStateAction } from 'react';
import type { MeasuringTool } from '@/core/materials/dose/measuring-tool';
import type { DoseTarget } from '@/core/materials/label/label-rate';
import type { LabelRate } from '@/core/trial/model/label-rate';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import type { ReadAmount } from '@/features/shelf/sums/read-amount';
import type { FieldOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { type DoseSheetValues, EXAMPLES, NEEDS } from './dose-values';

interface DoseFieldsProps {
  readonly rate: LabelRate;
  readonly field: FieldOf<DoseSheetValues>;
  readonly share: number | undefined;
  readonly target: DoseTarget | { readonly trouble: string };
  readonly size: string;
  readonly count: ReadAmount;
  readonly tool: MeasuringTool | undefined;
  readonly setTool: Dispatch<SetStateAction<string>>;
  readonly tools: MeasuringTool[];
}

export function DoseFields({
  rate,
  field,
  share,
  target,
  size,
  count,
  tool,
  setTool,
  tools,
}: DoseFieldsProps) {
  const inUnits = useAmountWords();
  const system = useSystem();
  return (
    <div data-fields>
      {rate.low < rate.high && (
        <Select
          label="Of the range"
          {...field('choice')}
          options={[
            { value: 'low', label: `the least, ${inUnits(rate.low, rate.of)}` },
            { value: 'middle', label: 'the middle' },
            { value: 'high', label: `the most, ${inUnits(rate.high, rate.of)}` },
          ]}
        />
      )}
      <TextField
        label="Strength"
        {...field('strength')}
        trouble={share === undefined ? '1, 1/2 or 50%' : undefined}
      />
      {NEEDS[rate.per.kind] && (
        <TextField
          label={NEEDS[rate.per.kind] ?? ''}
          {...field('size')}
          placeholder={EXAMPLES[system][rate.per.kind] ?? ''}
          trouble={'trouble' in target && size !== '' ? target.trouble : undefined}
        />
      )}
      <TextField label="How many" {...field('pots')} inputMode="numeric" trouble={count.trouble} />
      {tool && (
        <Select
          label="Measured with"
          name="doseTool"
          value={tool.key}
          onChange={setTool}
          options={tools.map(each => ({ value: each.key, label: each.name }))}
        />
      )}
    </div>
  );
}

'use client';

import { useState } from 'react';
import { amountWords, figures } from '@/core/materials/amount-words';
import { circleM2, containerMl } from '@/core/materials/mix/container-volume';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { readAmount } from './read-amount';
import { Sum } from './Sum';

/** What a pot, tub or box really holds. */
export function PotSum({ system }: { readonly system: MeasureSystem }) {
  const unit = system === 'us' ? 'in' : 'cm';
  const [shape, setShape] = useState<'round' | 'box'>('round');
  const [top, setTop] = useState(system === 'us' ? '12 in' : '30 cm');
  const [bottom, setBottom] = useState(system === 'us' ? '9.5 in' : '24 cm');
  const [depth, setDepth] = useState(system === 'us' ? '11 in' : '28 cm');
  const [t, b, d] = [top, bottom, depth].map(each => readAmount(each, 'length', system, unit)) as [
    ReturnType<typeof readAmount>,
    ReturnType<typeof readAmount>,
    ReturnType<typeof readAmount>,
  ];
  const ml =
    t.base === undefined || b.base === undefined || d.base === undefined
      ? undefined
      : shape === 'round'
        ? containerMl({ shape: 'frustum', topMm: t.base, bottomMm: b.base, depthMm: d.base })
        : containerMl({ shape: 'box', lengthMm: t.base, widthMm: b.base, depthMm: d.base });
  return (
    <Sum
      title="A pot"
      lead="By its inner measures, up to the line it is filled to. The size on its rim is only a name."
    >
      <div data-fields>
        <Select
          label="It is"
          name="potShape"
          value={shape}
          onChange={setShape}
          options={[
            { value: 'round', label: 'round' },
            { value: 'box', label: 'a box or trough' },
          ]}
        />
        <TextField
          label={shape === 'round' ? 'Across at the top' : 'Long'}
          name="potTop"
          value={top}
          onChange={setTop}
          trouble={t.trouble}
        />
        <TextField
          label={shape === 'round' ? 'at the bottom' : 'wide'}
          name="potBottom"
          value={bottom}
          onChange={setBottom}
          trouble={b.trouble}
        />
        <TextField
          label="filled deep"
          name="potDepth"
          value={depth}
          onChange={setDepth}
          trouble={d.trouble}
        />
      </div>
      {ml !== undefined && (
        <output>
          {amountWords(ml, 'volume')}
          {shape === 'round' && t.base !== undefined
            ? `, ${figures(circleM2(t.base))} m² open`
            : ''}
        </output>
      )}
    </Sum>
  );
}

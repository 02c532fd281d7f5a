'use client';

import { useState } from 'react';
import { figures } from '@/core/materials/amount-words';
import { calibrate } from '@/core/materials/dose/measuring-tool';
import { TextField } from '@/ui/fields/TextField';
import { Sum } from './Sum';

/** A cap, a handful, a squirt: weighed five times. */
export function LooseSum() {
  const [weighings, setWeighings] = useState('28 35 40 31 36');
  const numbers = weighings
    .split(/[\s;]+/)
    .filter(each => each !== '')
    .map(each => Number(each.replace(',', '.')));
  const isRead = numbers.every(each => Number.isFinite(each) && each > 0) && numbers.length >= 2;
  const found = isRead ? calibrate(numbers) : undefined;
  return (
    <Sum title="A handful" lead="A cap, a handful, a squirt: weigh or measure five of them.">
      <TextField
        label="The five, all in one unit"
        name="weighings"
        value={weighings}
        onChange={setWeighings}
        trouble={isRead ? undefined : 'At least two numbers above 0, with spaces between them.'}
      />
      {found && (
        <output>
          {figures(found.mean)} on average, give or take {figures(found.sd)}
        </output>
      )}
      {found && (
        <p>
          {found.isReliable
            ? `They differ by ${figures(found.cvPercent)}%: good enough to dose by.`
            : `They differ by ${figures(found.cvPercent)}%: too much to dose by. Use a spoon or a scale.`}
        </p>
      )}
    </Sum>
  );
}

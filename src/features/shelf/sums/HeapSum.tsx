'use client';

import { useState } from 'react';
import { figures } from '@/core/materials/amount-words';
import { carbonToNitrogen, HOT_HEAP_CN } from '@/core/materials/mix/compost-heap';
import { dryMass } from '@/core/materials/soil-and-water/moisture';
import { useSystem } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { Sum } from './Sum';

/** Carbon to nitrogen of a heap, by dry mass. */
export function HeapSum() {
  const [lines, setLines] = useState('grass 40 75 45 3\nstraw 8 12 45 0.6');
  const rows = lines
    .split('\n')
    .map(line => line.trim())
    .filter(line => line !== '')
    .map(line => /^(.+?)\s+([\d.,]+)\s+([\d.,]+)\s+([\d.,]+)\s+([\d.,]+)$/.exec(line));
  const bad = rows.some(row => row === null);
  const numbers = rows.flatMap(row =>
    row ? [row.slice(2).map(each => Number(each.replace(',', '.')))] : [],
  );
  const isRead = !bad && numbers.length > 0 && numbers.every(([, water = 0]) => water < 100);
  const ratio = isRead
    ? carbonToNitrogen(
        numbers.map(([kilos = 0, water = 0, carbon = 0, nitrogen = 0]) => ({
          dryKg: dryMass(kilos, water),
          carbonPercent: carbon,
          nitrogenPercent: nitrogen,
        })),
      )
    : null;
  return (
    <Sum
      title="A heap"
      lead={`A line for each: its name, ${useSystem() === 'us' ? 'pounds' : 'kilograms'} as they are, water in %, carbon and nitrogen in % of the dry. Weighed, not by the barrow.`}
    >
      <TextField
        label="What goes on"
        name="heap"
        value={lines}
        onChange={setLines}
        isLong
        trouble={isRead ? undefined : 'A name and four numbers, water below 100.'}
      />
      {ratio !== null && <output>{figures(ratio)} of carbon to 1 of nitrogen</output>}
      {ratio !== null && (
        <p>
          {ratio < HOT_HEAP_CN.low
            ? 'It will smell of ammonia: more straw, leaves or paper.'
            : ratio > HOT_HEAP_CN.high
              ? 'It will be slow: more grass, kitchen scraps or manure.'
              : 'Right for a hot heap, 25 to 30.'}
        </p>
      )}
    </Sum>
  );
}

'use client';

import { useState } from 'react';
import { amountWords, figures } from '@/core/materials/amount-words';
import { catchTest, emittersWeekly } from '@/core/materials/soil-and-water/watering';
import { TextField } from '@/ui/TextField';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

/** Litres from a drip line: by cups under it, since minutes are not litres. */
export function DripSum() {
  const [cups, setCups] = useState('98 104 87 101');
  const [minutes, setMinutes] = useState('10');
  const [each, setEach] = useState('2');
  const [run, setRun] = useState('30');
  const [times, setTimes] = useState('3');
  const caught = cups
    .split(/[\s;]+/)
    .filter(part => part !== '')
    .map(part => Number(part.replace(',', '.')));
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
      lead="Set a cup under several emitters for some minutes: the timer’s minutes are not litres."
    >
      <div data-fields>
        <TextField
          label="In the cups, ml"
          name="cups"
          value={cups}
          onChange={setCups}
          trouble={isRead ? undefined : 'At least two amounts above 0.'}
        />
        <TextField
          label="after minutes"
          name="cupMinutes"
          value={minutes}
          onChange={setMinutes}
          trouble={m.trouble}
          inputMode="decimal"
        />
        <TextField
          label="Emitters a plant"
          name="emitters"
          value={each}
          onChange={setEach}
          trouble={e.trouble}
          inputMode="numeric"
        />
        <TextField
          label="Runs for minutes"
          name="runMinutes"
          value={run}
          onChange={setRun}
          trouble={r.trouble}
          inputMode="numeric"
        />
        <TextField
          label="Times a week"
          name="runTimes"
          value={times}
          onChange={setTimes}
          trouble={t.trouble}
          inputMode="numeric"
        />
      </div>
      {weekly !== undefined && <output>{amountWords(weekly, 'volume')} a plant and week</output>}
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

'use client';

import { useState } from 'react';
import { amountWords, figures } from '@/core/materials/amount-words';
import { dryMass, wetMassFor } from '@/core/materials/soil-and-water/moisture';
import { isSaltHarmful, saltLoad } from '@/core/materials/soil-and-water/salt-load';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { TextField } from '@/ui/TextField';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

/** What salt leaves behind on a spot, time after time. */
export function SaltSum({ system }: { readonly system: MeasureSystem }) {
  const [salt, setSalt] = useState('76 g');
  const [water, setWater] = useState('1 l');
  const [litres, setLitres] = useState('2 l');
  const [area, setArea] = useState('1');
  const [times, setTimes] = useState('3');
  const [s, w, l, a, t] = [
    readAmount(salt, 'mass', system),
    readAmount(water, 'volume', system),
    readAmount(litres, 'volume', system),
    readNumber(area, 0.01, 10_000),
    readNumber(times, 1, 100),
  ];
  const load =
    s.base !== undefined &&
    w.base !== undefined &&
    l.base !== undefined &&
    a.base !== undefined &&
    t.base !== undefined
      ? saltLoad(s.base, w.base, l.base / 1000, a.base, t.base)
      : undefined;
  return (
    <Sum title="Salt" lead="In a home-made weedkiller: it does not go away.">
      <div data-fields>
        <TextField label="Salt" name="salt" value={salt} onChange={setSalt} trouble={s.trouble} />
        <TextField label="in" name="saltIn" value={water} onChange={setWater} trouble={w.trouble} />
        <TextField
          label="Each time"
          name="saltLitres"
          value={litres}
          onChange={setLitres}
          trouble={l.trouble}
        />
        <TextField
          label="on, m²"
          name="saltArea"
          value={area}
          onChange={setArea}
          trouble={a.trouble}
          inputMode="decimal"
        />
        <TextField
          label="Times"
          name="saltTimes"
          value={times}
          onChange={setTimes}
          trouble={t.trouble}
          inputMode="numeric"
        />
      </div>
      {load && <output>{figures(load.gPerM2)} g a square metre stay</output>}
      {load && (
        <p>
          {figures(load.gPerL)} g a litre.{' '}
          {isSaltHarmful(load)
            ? 'That is more than most plants bear for a long time: never where something is to grow.'
            : 'It adds up with every time more.'}
        </p>
      )}
    </Sum>
  );
}

/** Equal dry mass in spite of water. */
export function DrySum({ system }: { readonly system: MeasureSystem }) {
  const [wet, setWet] = useState('500 g');
  const [waterA, setWaterA] = useState('60');
  const [waterB, setWaterB] = useState('35');
  const [m, a, b] = [
    readAmount(wet, 'mass', system),
    readNumber(waterA, 0, 95),
    readNumber(waterB, 0, 95),
  ];
  const dry = m.base !== undefined && a.base !== undefined ? dryMass(m.base, a.base) : undefined;
  return (
    <Sum
      title="Wet and dry"
      lead="Two composts or chars hold different water: equal buckets are not equal doses."
    >
      <div data-fields>
        <TextField
          label="Of the first, as it is"
          name="wet"
          value={wet}
          onChange={setWet}
          trouble={m.trouble}
        />
        <TextField
          label="its water, %"
          name="waterA"
          value={waterA}
          onChange={setWaterA}
          trouble={a.trouble}
          inputMode="decimal"
        />
        <TextField
          label="water of the second, %"
          name="waterB"
          value={waterB}
          onChange={setWaterB}
          trouble={b.trouble}
          inputMode="decimal"
        />
      </div>
      {dry !== undefined && b.base !== undefined && (
        <output>
          {amountWords(dry, 'mass')} dry, as {amountWords(wetMassFor(dry, b.base), 'mass')} of the
          second
        </output>
      )}
    </Sum>
  );
}

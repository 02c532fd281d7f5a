'use client';
import { figures } from '@/core/materials/amount-words';
import { dryMass, wetMassFor } from '@/core/materials/soil-and-water/moisture';
import { isSaltHarmful, saltLoad } from '@/core/materials/soil-and-water/salt-load';
import { printDoseMass } from '@/core/quantity/print-quantity';
import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

const GRAMS = { salt: '76 g', water: '1 l', litres: '2 l', area: '1 m²' };
const OUNCES = { salt: '10 oz', water: '1 gal', litres: '1/2 gal', area: '10 sq ft' };

/** What salt leaves behind on a spot, time after time. */
export function SaltSum({ system }: { readonly system: MeasureSystem }) {
  const { form, field } = useForm({
    ...(system === 'us' ? OUNCES : GRAMS),
    times: '3',
  });
  const { salt, water, litres, area, times } = form;
  const [s, w, l, a, t] = [
    readAmount(salt, 'mass', system),
    readAmount(water, 'volume', system),
    readAmount(litres, 'volume', system),
    readAmount(area, 'area', system, system === 'us' ? 'ft2' : 'm2'),
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
        <TextField label="Salt" {...field('salt')} trouble={s.trouble} />
        <TextField label="in" {...field('water')} trouble={w.trouble} />
        <TextField label="Each time" {...field('litres')} trouble={l.trouble} />
        <TextField label="on" {...field('area')} trouble={a.trouble} />
        <TextField label="Times" {...field('times')} trouble={t.trouble} inputMode="numeric" />
      </div>
      {load && <output>{saltWords(load.gPerM2, 'area', system)} stay</output>}
      {load && (
        <p>
          {saltWords(load.gPerL, 'water', system)}.{' '}
          {isSaltHarmful(load)
            ? 'That is more than most plants bear for a long time: never where something is to grow.'
            : 'It adds up with every time more.'}
        </p>
      )}
    </Sum>
  );
}

/** @param g on a square metre, or in a litre */
function saltWords(g: number, of: 'area' | 'water', system: MeasureSystem): string {
  if (system === 'uk') return `${figures(g)} g a ${of === 'area' ? 'square metre' : 'litre'}`;
  const per = of === 'area' ? unitOfMeasure('ft2').perBase : unitOfMeasure('us-gal').perBase / 1000;
  return `${printDoseMass(g * per, system)} a ${of === 'area' ? 'square foot' : 'gallon'}`;
}

/** Equal dry mass in spite of water. */
export function DrySum({ system }: { readonly system: MeasureSystem }) {
  const inUnits = useAmountWords();
  const { form, field } = useForm({
    wet: system === 'us' ? '1 lb' : '500 g',
    waterA: '60',
    waterB: '35',
  });
  const { wet, waterA, waterB } = form;
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
        <TextField label="Of the first, as it is" {...field('wet')} trouble={m.trouble} />
        <TextField
          label="its water, %"
          {...field('waterA')}
          trouble={a.trouble}
          inputMode="decimal"
        />
        <TextField
          label="water of the second, %"
          {...field('waterB')}
          trouble={b.trouble}
          inputMode="decimal"
        />
      </div>
      {dry !== undefined && b.base !== undefined && (
        <output>
          {inUnits(dry, 'mass')} dry, as {inUnits(wetMassFor(dry, b.base), 'mass')} of the second
        </output>
      )}
    </Sum>
  );
}

'use client';
import { figures } from '@/core/materials/amount-words';
import { parseLabelRate } from '@/core/materials/label/rate/parse-label-rate';
import { rateSentence } from '@/core/materials/label/rate/rate-trouble';
import { printLength } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { daysToCut, feedWithClippings, lowestCut } from '@/core/schedule/rules/lawn';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { type ReadAmount, readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

/** Grams of nitrogen a square metre: a bare number, or a rate as feeds for lawns say it. */
function readYearlyFeed(written: string, system: MeasureSystem): ReadAmount {
  const said = written.trim().replace(/\s+(?:of\s+)?(?:N|nitrogen)\b/i, '');
  if (said === '' || /^[\d.,]+$/.test(said)) return readNumber(said, 0.1, 100);
  const rate = parseLabelRate(said, { system });
  if (!rate.ok) return { base: undefined, trouble: rateSentence(rate.trouble, { system }) };
  const { of, high, per } = rate.value;
  return of === 'mass' && per.kind === 'area'
    ? { base: high / per.m2, trouble: undefined }
    : {
        base: undefined,
        trouble: `A weight for an area, such as ${system === 'us' ? '4 lb per 1000 sq ft' : '10 g per m²'}.`,
      };
}

const LAWN_FT2_M2 = 92.90304; // 1000 square feet, by which lawns are fed across the water

function feedWords(
  gPerM2: number,
  system: MeasureSystem,
  inUnits: (amount: number, of: 'mass') => string,
): string {
  return system === 'us'
    ? `${inUnits(gPerM2 * LAWN_FT2_M2, 'mass')} per 1000 sq ft`
    : `${inUnits(gPerM2, 'mass')} per square metre`;
}

/** When a lawn wants cutting, how low, and what it needs where its clippings stay. */
export function LawnSum() {
  const system = useSystem();
  const { form, field } = useForm(
    system === 'us'
      ? { cutTo: '1 1/2 in', grows: '1/8 in', stands: '', feed: '' }
      : { cutTo: '35 mm', grows: '3 mm', stands: '', feed: '' },
  );
  const { cutTo, grows, stands, feed } = form;
  const bare = system === 'us' ? 'in' : 'mm';
  const inUnits = useAmountWords();
  const [c, g, s, f] = [
    readAmount(cutTo, 'length', system, bare),
    readAmount(grows, 'length', system, bare),
    readAmount(stands, 'length', system, bare),
    readYearlyFeed(feed, system),
  ];
  return (
    <Sum
      title="A lawn"
      lead="Never more than a third of the leaf at once: a lawn cut lower starves its roots, whatever it is fed."
    >
      <div data-fields>
        <TextField label="Cut to" {...field('cutTo')} trouble={c.trouble} />
        <TextField label="Grows a day" {...field('grows')} trouble={g.trouble} />
        <TextField
          label="Stands now at"
          {...field('stands')}
          trouble={s.trouble}
          placeholder={system === 'us' ? '3 in' : '80 mm'}
        />
        <TextField
          label="Nitrogen in a year"
          {...field('feed')}
          trouble={f.trouble}
          placeholder={system === 'us' ? '4 lb per 1000 sq ft' : '10 g per m²'}
        />
      </div>
      {c.base !== undefined && g.base !== undefined && (
        <output>every {figures(daysToCut(c.base, g.base))} days</output>
      )}
      {s.base !== undefined && (
        <p>
          From {printLength(s.base, system)} cut it to {printLength(lowestCut(s.base), system)} at
          the lowest, and lower a few days later.
        </p>
      )}
      {f.base !== undefined && (
        <p>
          Where the clippings stay, {feedWords(feedWithClippings(f.base), system, inUnits)} or less
          will do. One half bagged and one half mulched differ by that, too.
        </p>
      )}
    </Sum>
  );
}

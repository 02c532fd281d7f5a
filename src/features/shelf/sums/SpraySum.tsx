'use client';
import { amountWords, figures } from '@/core/materials/amount-words';
import { dilute, sprayEach, stockFor } from '@/core/materials/dose/dilution';
import { ratioMeanings } from '@/core/materials/mix/ratio-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { FieldOf } from '@/ui/form-fields';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import type { ReadAmount } from './read-amount';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

interface SpraySumValues {
  readonly stock: string;
  readonly add: string;
  readonly to: string;
  readonly words: string;
  readonly caught: string;
  readonly seconds: string;
}

/** How strong a spray comes out, what “3 to 1” can mean, and what each plant gets from the nozzle. */
export function SpraySum({ system }: { readonly system: MeasureSystem }) {
  const { form, field } = useForm<SpraySumValues>({
    stock: '3',
    add: system === 'us' ? '6 tbsp' : '90 ml',
    to: system === 'us' ? '1 gal' : '4 l',
    words: '3 to 1',
    caught: '240 ml',
    seconds: '5',
  });
  const { stock, add, to, words, caught, seconds } = form;
  const [s, a, t, c, e] = [
    readNumber(stock, 0, 100),
    readAmount(add, 'volume', system),
    readAmount(to, 'volume', system),
    readAmount(caught, 'volume', system),
    readNumber(seconds, 0, 600),
  ];
  const made =
    s.base !== undefined && a.base !== undefined && t.base !== undefined
      ? dilute(s.base, a.base, t.base)
      : undefined;
  const meanings = ratioMeanings(words);
  const tenth =
    s.base !== undefined && s.base > 0.1 && t.base !== undefined
      ? stockFor(t.base, 0.1, s.base)
      : undefined;
  return (
    <Sum
      title="A spray"
      lead="Added to so much water, or made up to it: the label means one of them."
    >
      <div data-fields>
        <TextField
          label="In the bottle, %"
          {...field('stock')}
          trouble={s.trouble}
          inputMode="decimal"
        />
        <TextField label="Of that" {...field('add')} trouble={a.trouble} />
        <TextField label="to water" {...field('to')} trouble={t.trouble} />
      </div>
      {made && (
        <output>
          {made.percentAddedTo.toFixed(3)}% added, {made.percentMadeUpTo.toFixed(3)}% made up
        </output>
      )}
      {made && t.base !== undefined && (
        <p>
          {figures(made.mlPerL)} ml a litre.
          {tenth === undefined
            ? ''
            : ` ${amountWords(t.base, 'volume')} of 0.1% would take ${amountWords(tenth, 'volume')} of the bottle.`}
        </p>
      )}
      <TextField label="What does it mean?" {...field('words')} />
      {meanings.length > 0 && (
        <ul>
          {meanings.map(meaning => (
            <li key={meaning.words}>{meaning.words}</li>
          ))}
        </ul>
      )}
      <CatchTestFields field={field} c={c} e={e} />
      {c.base !== undefined && e.base !== undefined && (
        <p>
          {amountWords(sprayEach(c.base, 30, e.base), 'volume')} a plant. Catch again at the end:
          more than a tenth off, and the nozzle has changed.
        </p>
      )}
    </Sum>
  );
}

interface CatchTestFieldsProps {
  readonly field: FieldOf<SpraySumValues>;
  readonly c: ReadAmount;
  readonly e: ReadAmount;
}

function CatchTestFields({ field, c, e }: CatchTestFieldsProps) {
  return (
    <div data-fields>
      <TextField label="Caught in 30 seconds" {...field('caught')} trouble={c.trouble} />
      <TextField
        label="Seconds a plant"
        {...field('seconds')}
        trouble={e.trouble}
        inputMode="decimal"
      />
    </div>
  );
}

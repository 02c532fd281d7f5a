'use client';
import { figures } from '@/core/materials/amount-words';
import { dilute, sprayEach, stockFor } from '@/core/materials/dose/dilution';
import { ratioMeanings } from '@/core/materials/mix/ratio-words';
import { printVolume } from '@/core/quantity/print-quantity';
import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

interface SpraySumProps {
  readonly system: MeasureSystem;
}

/** How strong a spray comes out, what “3 to 1” can mean, and what each plant gets from the nozzle. */
export function SpraySum({ system }: SpraySumProps) {
  return (
    <Sum
      title="A spray"
      lead="Added to so much water, or made up to it: the label means one of them."
    >
      <Strength system={system} />
      <Ratio />
      <CatchTest system={system} />
    </Sum>
  );
}

function Strength({ system }: SpraySumProps) {
  const inUnits = useAmountWords();
  const { form, field } = useForm({
    stock: '3',
    add: system === 'us' ? '6 tbsp' : '90 ml',
    to: system === 'us' ? '1 gal' : '4 l',
  });
  const stock = readNumber(form.stock, 0, 100);
  const added = readAmount(form.add, 'volume', system);
  const water = readAmount(form.to, 'volume', system);
  const made =
    stock.base !== undefined && added.base !== undefined && water.base !== undefined
      ? dilute(stock.base, added.base, water.base)
      : undefined;
  const tenth =
    stock.base !== undefined && stock.base > 0.1 && water.base !== undefined
      ? stockFor(water.base, 0.1, stock.base)
      : undefined;
  return (
    <>
      <div data-fields>
        <TextField
          label="In the bottle, %"
          {...field('stock')}
          trouble={stock.trouble}
          inputMode="decimal"
        />
        <TextField label="Of that" {...field('add')} trouble={added.trouble} />
        <TextField label="to water" {...field('to')} trouble={water.trouble} />
      </div>
      {made && (
        <output>
          {made.percentAddedTo.toFixed(3)}% added, {made.percentMadeUpTo.toFixed(3)}% made up
        </output>
      )}
      {made && water.base !== undefined && (
        <p>
          {system === 'us'
            ? `${printVolume((made.mlPerL * unitOfMeasure('us-gal').perBase) / 1000, system)} a gallon.`
            : `${figures(made.mlPerL)} ml a litre.`}
          {tenth === undefined
            ? ''
            : ` ${inUnits(water.base, 'volume')} of 0.1% would take ${inUnits(tenth, 'volume')} of the bottle.`}
        </p>
      )}
    </>
  );
}

/** What “3 to 1” can mean. */
function Ratio() {
  const { form, field } = useForm({ words: '3 to 1' });
  const meanings = ratioMeanings(form.words);
  return (
    <>
      <TextField label="What does it mean?" {...field('words')} />
      {meanings.length > 0 && (
        <ul>
          {meanings.map(meaning => (
            <li key={meaning.words}>{meaning.words}</li>
          ))}
        </ul>
      )}
    </>
  );
}

const CAUGHT_S = 30;

/** What the nozzle gives, caught in a measuring jug. */
function CatchTest({ system }: SpraySumProps) {
  const inUnits = useAmountWords();
  const { form, field } = useForm({
    caught: system === 'us' ? '8 fl oz' : '240 ml',
    seconds: '5',
  });
  const caught = readAmount(form.caught, 'volume', system);
  const seconds = readNumber(form.seconds, 0, 600);
  return (
    <>
      <div data-fields>
        <TextField
          label={`Caught in ${CAUGHT_S} seconds`}
          {...field('caught')}
          trouble={caught.trouble}
        />
        <TextField
          label="Seconds a plant"
          {...field('seconds')}
          trouble={seconds.trouble}
          inputMode="decimal"
        />
      </div>
      {caught.base !== undefined && seconds.base !== undefined && (
        <p>
          {inUnits(sprayEach(caught.base, CAUGHT_S, seconds.base), 'volume')} a plant. Catch again
          at the end: more than a tenth off, and the nozzle has changed.
        </p>
      )}
    </>
  );
}

'use client';
import { figures } from '@/core/materials/amount-words';
import { plantsFrom, SUBSAMPLES_ONLY, seedMassFor } from '@/core/materials/dose/seed-rate';
import { toSow } from '@/core/materials/ledger/money';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';
import { useAmountWords, useSystem } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readAmount, readNumber } from './read-amount';
import { Sum } from './Sum';

/** How many to sow or strike for a number of plants; by count, and by mass. */
export function SowSum() {
  const inUnits = useAmountWords();
  const { form, field } = useForm({ wanted: '24', up: '80', perG: '', each: '' });
  const { wanted, up, perG, each } = form;
  const system = useSystem();
  const packet = unitOfMeasure(system === 'us' ? 'oz' : 'g').perBase;
  const [w, u, g, e] = [
    readNumber(wanted, 1, 100_000),
    readNumber(up, 1, 100),
    readNumber(perG, 0.1, 1_000_000),
    readAmount(each, 'mass', system, system === 'us' ? 'oz' : 'g'),
  ];
  const share = u.base === undefined ? undefined : u.base / 100;
  return (
    <Sum
      title="Sowing"
      lead="For so many plants, with a tenth to spare: the spares are for the first two weeks."
    >
      <div data-fields>
        <TextField
          label="Plants wanted"
          {...field('wanted')}
          trouble={w.trouble}
          inputMode="numeric"
        />
        <TextField
          label="Come up or root, %"
          {...field('up')}
          trouble={u.trouble}
          inputMode="decimal"
        />
        <TextField
          label={system === 'us' ? 'Seeds in an ounce' : 'Seeds in a gram'}
          {...field('perG')}
          trouble={g.trouble}
          inputMode="decimal"
          placeholder="on the packet"
        />
        <TextField
          label="Seed in a pot"
          {...field('each')}
          trouble={e.trouble}
          placeholder={system === 'us' ? '1/8 oz' : '2 g'}
        />
      </div>
      {w.base !== undefined && share !== undefined && (
        <output>
          sow {toSow(w.base, share)}
          {g.base === undefined
            ? ''
            : `, ${inUnits(seedMassFor(w.base * 1.1, g.base / packet, share), 'mass')}`}
        </output>
      )}
      {e.base !== undefined && g.base !== undefined && share !== undefined && (
        <p>
          A pot with {inUnits(e.base, 'mass')} has some{' '}
          {figures(plantsFrom(e.base, g.base / packet, share))} plants. {SUBSAMPLES_ONLY}
        </p>
      )}
    </Sum>
  );
}

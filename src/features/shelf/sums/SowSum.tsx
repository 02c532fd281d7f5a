'use client';
import { figures } from '@/core/materials/amount-words';
import { plantsFrom, SUBSAMPLES_ONLY, seedMassFor } from '@/core/materials/dose/seed-rate';
import { toSow } from '@/core/materials/ledger/money';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

/** How many to sow or strike for a number of plants; by count, and by mass. */
export function SowSum() {
  const inUnits = useAmountWords();
  const { form, field } = useForm({ wanted: '24', up: '80', perG: '', each: '' });
  const { wanted, up, perG, each } = form;
  const [w, u, g, e] = [
    readNumber(wanted, 1, 100_000),
    readNumber(up, 1, 100),
    readNumber(perG, 0.1, 100_000),
    readNumber(each, 0.001, 10_000),
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
          label="Seeds in a gram"
          {...field('perG')}
          trouble={g.trouble}
          inputMode="decimal"
          placeholder="on the packet"
        />
        <TextField
          label="Grams in a pot"
          {...field('each')}
          trouble={e.trouble}
          inputMode="decimal"
        />
      </div>
      {w.base !== undefined && share !== undefined && (
        <output>
          sow {toSow(w.base, share)}
          {g.base === undefined
            ? ''
            : `, ${inUnits(seedMassFor(w.base * 1.1, g.base, share), 'mass')}`}
        </output>
      )}
      {e.base !== undefined && g.base !== undefined && share !== undefined && (
        <p>
          A pot with {figures(e.base)} g has some {figures(plantsFrom(e.base, g.base, share))}{' '}
          plants. {SUBSAMPLES_ONLY}
        </p>
      )}
    </Sum>
  );
}

'use client';

import { circleM2 } from '@/core/materials/mix/container-volume';
import { waterOn } from '@/core/materials/mix/depth';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { AVAILABLE_WATER } from '@/core/weather/soil-store';
import { leachedMl } from '@/core/weather/weather-day';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { readAmount } from './read-amount';
import { Sum } from './Sum';

/** Rain to litres on a pot or a bed, and what runs out below. */
export function RainSum({ system }: { readonly system: MeasureSystem }) {
  const inUnits = useAmountWords();
  const unit = system === 'us' ? 'in' : 'cm';
  const { form, field } = useForm({
    rain: system === 'us' ? '0.8 in' : '20 mm',
    across: system === 'us' ? '10 in' : '25 cm',
    mix: system === 'us' ? '2.5 gal' : '10 l',
  });
  const { rain, across, mix } = form;
  const [r, a, m] = [
    readAmount(rain, 'length', system, unit),
    readAmount(across, 'length', system, unit),
    readAmount(mix, 'volume', system),
  ];
  const areaM2 = a.base === undefined ? undefined : circleM2(a.base);
  const fallen = r.base === undefined || areaM2 === undefined ? undefined : waterOn(areaM2, r.base);
  const out =
    fallen === undefined || m.base === undefined || r.base === undefined || areaM2 === undefined
      ? undefined
      : leachedMl(r.base, areaM2, m.base * AVAILABLE_WATER['potting mix']);
  return (
    <Sum
      title="Rain on a pot"
      lead="What falls on its open top, under open sky. Leaves that hang over the rim keep some of it out."
    >
      <div data-fields>
        <TextField label="Rain" {...field('rain')} trouble={r.trouble} />
        <TextField label="The pot is across" {...field('across')} trouble={a.trouble} />
        <TextField label="and holds of mix" {...field('mix')} trouble={m.trouble} />
      </div>
      {fallen !== undefined && <output>{inUnits(fallen, 'volume')} a pot</output>}
      {out !== undefined && (
        <p>
          {out > 0
            ? `Even if it was quite dry, ${inUnits(out, 'volume')} ran out below, and feed with it.`
            : 'A dry pot holds that; a wet one lets it run, and feed with it.'}
        </p>
      )}
    </Sum>
  );
}

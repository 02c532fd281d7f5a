'use client';

import { styled } from 'styled-components';
import { printVolume } from '@/core/quantity/print-quantity';
import {
  AVAILABLE_WATER,
  CROP_FACTORS,
  cropUse,
  daysUntilDry,
  litresFor,
  type SoilStore,
  soilStore,
} from '@/core/weather/soil-store';
import { useRainWords, useSystem } from '@/features/frame/use-garden-units';
import { readNumber } from '@/features/shelf/sums/read-amount';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';

const SOILS = Object.keys(AVAILABLE_WATER).map(name => ({
  value: name as keyof typeof AVAILABLE_WATER,
  label: name,
}));
const CROPS = Object.keys(CROP_FACTORS).map(name => ({ value: name, label: name }));

/** What roots and a bed are measured in, and what stands there first. */
const MEASURED = {
  uk: { length: 'cm', mm: 10, roots: '50', least: 5, most: 200, area: 'm²', m2: 1, bed: '1' },
  us: {
    length: 'in',
    mm: 25.4,
    roots: '20',
    least: 2,
    most: 80,
    area: 'sq ft',
    m2: 0.092_903_04,
    bed: '10',
  },
} as const;

/** Does it need water? Days until a full soil is dry, and what to give. */
export function Thirst({ etoMm }: { readonly etoMm: number }) {
  const system = useSystem();
  const unit = MEASURED[system];
  const { form, field } = useForm<{
    readonly soil: keyof typeof AVAILABLE_WATER;
    readonly crop: string;
    readonly root: string;
    readonly covered: string;
    readonly area: string;
  }>({ soil: 'loam', crop: 'tomato', root: unit.roots, covered: '0', area: unit.bed });
  const { soil, crop, root, covered, area } = form;
  const [r, c, a] = [
    readNumber(root, unit.least, unit.most),
    readNumber(covered, 0, 100),
    readNumber(area, 0.01, 10_000),
  ];
  const factors = CROP_FACTORS[crop];
  const isRead = r.base !== undefined && c.base !== undefined && a.base !== undefined;
  return (
    <Box aria-label="Does it need water?">
      <h2>Does it need water?</h2>
      <div data-fields>
        <Select label="Soil" {...field('soil')} options={SOILS} />
        <Select label="Crop in full leaf" {...field('crop')} options={CROPS} />
        <TextField
          label={`Roots down to, ${unit.length}`}
          {...field('root')}
          trouble={r.trouble}
          inputMode="numeric"
        />
        <TextField
          label="Ground mulched, %"
          {...field('covered')}
          trouble={c.trouble}
          inputMode="numeric"
        />
        <TextField
          label={`Bed, ${unit.area}`}
          {...field('area')}
          trouble={a.trouble}
          inputMode="decimal"
        />
      </div>
      {factors && isRead && (
        <Lasts
          use={cropUse(etoMm, factors.middle, c.base / 100)}
          store={soilStore(AVAILABLE_WATER[soil], (r.base * unit.mm) / 1000, factors.depletion)}
          areaM2={a.base * unit.m2}
        />
      )}
    </Box>
  );
}

interface LastsProps {
  /** mm a day */
  readonly use: number;
  readonly store: SoilStore;
  readonly areaM2: number;
}

function Lasts({ use, store, areaM2 }: LastsProps) {
  const system = useSystem();
  const inRain = useRainWords();
  return (
    <>
      <output>
        A full watering lasts about {Number(daysUntilDry(store, use).toPrecision(2))} days
      </output>
      <Soft>
        It takes {inRain(use)} a day, {printVolume(1000 * litresFor(use, 7, areaM2), system)} a week
        on this bed. {inRain(store.readyMm)} of {inRain(store.totalMm)} in reach go without harm.
        Crop and soil values by FAO paper 56; pots dry far sooner.
      </Soft>
    </>
  );
}

const Box = styled.section`
  display: grid; gap: 10px;
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(140px, 1fr)); gap: 12px; align-items: start; }
  & output { font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; }
`;

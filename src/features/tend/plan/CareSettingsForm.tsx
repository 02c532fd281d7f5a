'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { SAME_WATER, WATER_STEPS } from '@/core/materials/soil-and-water/water-quality';
import { WATER_WAYS } from '@/core/materials/soil-and-water/watering';
import { writeAmount } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { CareSettings } from '@/core/trial/model/care-plan';
import { WATER_SOURCES, type WaterSource } from '@/core/trial/model/water-source';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useAmountWords, useRainWords } from '@/features/frame/use-garden-units';
import type { ReadAmount } from '@/features/shelf/sums/read-amount';
import { readAmount, readNumber } from '@/features/shelf/sums/read-amount';
import type { TendView } from '@/features/tend/tend-scene';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import type { FieldOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface CareSettingsFormProps {
  readonly settings: CareSettings;
  readonly unitWord: string;
  readonly system: MeasureSystem;
  readonly thirst: TendView['thirst'];
  readonly save: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

interface CareSettingsFormValues {
  readonly missed: CareSettings['missed'];
  readonly water: CareSettings['water'];
  readonly share: string;
  readonly source: WaterSource | '';
  readonly mix: string;
  readonly nitrogen: string;
  readonly hour: string;
}

const MISSED = [
  { value: 'do-late', label: 'is made up for, until the next is due' },
  { value: 'skip', label: 'stays left out' },
  { value: 'stop', label: 'is not done again' },
] as const;
const WAYS = (['same', 'need', 'et-share', 'below', 'none'] as const).map(value => ({
  value,
  label: WATER_WAYS[value].label,
}));
const SOURCES = [
  { value: '' as const, label: 'not said' },
  ...WATER_SOURCES.map(value => ({ value, label: WATER_STEPS[value].label })),
];

/** What is agreed of the care as a whole, for all treatments alike. */
export function CareSettingsForm({
  settings,
  unitWord,
  system,
  thirst,
  save,
}: CareSettingsFormProps) {
  const { form, field } = useForm(valuesOf(settings, system));
  const { missed, water, source } = form;
  const { trouble, isPending, tryOut } = useTrialAction();
  const [isSaved, setSaved] = useState(false);
  const [volume, held, worth, et] = [
    readAmount(form.mix, 'volume', system),
    readNumber(form.nitrogen, 0, 5000),
    readNumber(form.hour, 0, 1000),
    readNumber(form.share, 10, 200),
  ];
  const written = [volume, held, worth, ...(water === 'et-share' ? [et] : [])];
  const submit = (): void =>
    void tryOut(() => {
      if (written.some(each => each.trouble !== undefined)) return undefined;
      return save({
        missed,
        water,
        waterSource: source === '' ? null : source,
        etShare: (et.base ?? 100) / 100,
        mixMl: volume.base ?? null,
        mixNMgPerL: held.base ?? null,
        hourWorth: worth.base ?? null,
      });
    }).then(setSaved);
  return (
    <Box title="Agreed for all alike" isRuled>
      <Select label="A task that was missed" {...field('missed')} options={MISSED} />
      <WaterFields form={form} field={field} unitWord={unitWord} thirst={thirst} et={et} />
      <MixAndHour
        system={system}
        unitWord={unitWord}
        field={field}
        volume={volume}
        held={held}
        worth={worth}
      />
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Agree on it
        </Button>
        <span role="status">{isSaved ? 'Agreed.' : ''}</span>
      </Acts>
    </Box>
  );
}

function valuesOf(settings: CareSettings, system: MeasureSystem): CareSettingsFormValues {
  return {
    missed: settings.missed,
    water: settings.water,
    share: String(100 * settings.etShare),
    source: settings.waterSource ?? '',
    mix: settings.mixMl === null ? '' : writeAmount(settings.mixMl, 'volume', system),
    nitrogen: settings.mixNMgPerL === null ? '' : String(settings.mixNMgPerL),
    hour: settings.hourWorth === null ? '' : String(settings.hourWorth),
  };
}

interface WaterFieldsProps extends Pick<CareSettingsFormProps, 'unitWord' | 'thirst'> {
  readonly form: CareSettingsFormValues;
  readonly field: FieldOf<CareSettingsFormValues>;
  readonly et: ReadAmount;
}

/** How all are watered, by what, and what the weather takes. */
function WaterFields({ form: { water, source }, field, unitWord, thirst, et }: WaterFieldsProps) {
  const inUnits = useAmountWords();
  const inRain = useRainWords();
  return (
    <>
      <Select label="Water" {...field('water')} options={WAYS} />
      <p>{WATER_WAYS[water].means}</p>
      {thirst && (
        <p>
          By the weather of the last days, {inRain(thirst.etoMm)} a day, the ground of a {unitWord}{' '}
          gives off about {inUnits(thirst.weeklyMl, 'volume')} a week
          {thirst.isCropKnown ? '' : ', the crop taken for short grass'}. Pots in wind and sun take
          more.
        </p>
      )}
      {water === 'et-share' && (
        <TextField
          label="Of what the weather takes, %"
          {...field('share')}
          trouble={et.trouble}
          inputMode="numeric"
        />
      )}
      <Select label="It comes from" {...field('source')} options={SOURCES} />
      {source !== '' && (
        <p>
          {WATER_STEPS[source].says} {SAME_WATER}
        </p>
      )}
    </>
  );
}

interface MixAndHourProps {
  readonly system: MeasureSystem;
  readonly unitWord: CareSettingsFormProps['unitWord'];
  readonly field: FieldOf<CareSettingsFormValues>;
  readonly volume: ReadAmount;
  readonly held: ReadAmount;
  readonly worth: ReadAmount;
}

function MixAndHour({ system, unitWord, field, volume, held, worth }: MixAndHourProps) {
  return (
    <div data-fields>
      <TextField
        label={`Mix in a ${unitWord}`}
        {...field('mix')}
        trouble={volume.trouble}
        placeholder={system === 'us' ? '3 gal' : '10 l'}
      />
      <TextField
        label={system === 'us' ? 'Nitrogen in it, ppm' : 'Nitrogen in it, mg a litre'}
        {...field('nitrogen')}
        trouble={held.trouble}
        inputMode="decimal"
        placeholder="as on the bag"
      />
      <TextField
        label="An hour is worth"
        {...field('hour')}
        trouble={worth.trouble}
        inputMode="decimal"
        placeholder="not counted"
      />
    </div>
  );
}

const Box = styled(Fold)`
  & > p { color: var(--ink-soft); font-size: 0.9375rem; max-width: var(--measure); }
  & > [data-fields] { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
`;

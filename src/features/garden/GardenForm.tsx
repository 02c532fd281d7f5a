'use client';

import { type ReactNode, useState } from 'react';
import { type MeasureSystem, unitOfMeasure } from '@/core/quantity/unit-of-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/fields/Choice';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Page, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface GardenFormProps {
  readonly name: string;
  readonly system: MeasureSystem;
  readonly latitude: number;
  readonly altitudeM: number;
  readonly lastFrost: string | null;
  readonly firstFrost: string | null;
  readonly timeZone: string;
  /** All there are. */
  readonly timeZones: readonly string[];
  readonly save: (input: unknown) => Promise<FieldTroubles | undefined>;
  /** What stands under it. */
  readonly children?: ReactNode;
}

const SYSTEMS = [
  {
    value: 'uk',
    label: 'British',
    hint: 'Pints of 568 ml, gallons of 4.546 l; a bare weight is in grams, a bare length in cm.',
  },
  {
    value: 'us',
    label: 'American',
    hint: 'Pints of 473 ml, gallons of 3.785 l; a bare weight is in ounces, a bare length in inches.',
  },
] as const;

/** Whole feet stand for the metres that are kept; a height below the sea has its sign. */
function altitudeWords(altitudeM: number, system: MeasureSystem): string {
  return system === 'us' ? `${Math.round(altitudeM / METRES_PER_FOOT)} ft` : `${altitudeM} m`;
}

const METRES_PER_FOOT = unitOfMeasure('ft').perBase / 1000;

/** The garden's name, and whose pints, spoons and spelling are meant. */
export function GardenForm({ save, timeZones, children, ...saved }: GardenFormProps) {
  const [form, setForm] = useState({
    name: saved.name,
    system: saved.system,
    latitude: String(saved.latitude),
    altitude: altitudeWords(saved.altitudeM, saved.system),
    lastFrost: saved.lastFrost ?? '',
    firstFrost: saved.firstFrost ?? '',
    timeZone: saved.timeZone,
  });
  const [isSaved, setSaved] = useState(false);
  const { fields: troubles, isPending, send } = useFieldAction();
  const submit = (): void => void send(() => save(form)).then(setSaved);
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles,
  });
  return (
    <Page style={{ maxWidth: 720 }}>
      <h1 data-goes-on>The garden</h1>
      <TextField label="Name of the garden" {...field('name')} />
      <Choice label="Units" {...field('system')} options={SYSTEMS} />
      <TextField
        label="Latitude (south is negative)"
        {...field('latitude')}
        inputMode="decimal"
        hint="In degrees. From it comes how high the sun stands, and how much water plants use."
      />
      <TextField
        label="Height above sea level"
        {...field('altitude')}
        placeholder={form.system === 'us' ? '260 ft' : '80 m'}
      />
      <TextField
        label="Last frost in spring, usually"
        {...field('lastFrost')}
        placeholder="05-14"
        hint="Month and day. It says whether a season fits, and when to cover or lift."
      />
      <TextField
        label="First frost in autumn, usually"
        {...field('firstFrost')}
        placeholder="10-20"
      />
      <Select
        label="Time zone"
        {...field('timeZone')}
        options={[
          { value: '', label: 'this computer’s own' },
          ...timeZones.map(zone => ({ value: zone, label: zone.replaceAll('_', ' ') })),
        ]}
      />
      <Soft>Any unit can be written in either garden: 5 lb 12 oz, 840 g, 12", 30 cm.</Soft>
      <Acts>
        <Button data-tone="main" onPress={submit} isPending={isPending}>
          Save
        </Button>
        <span role="status">{isSaved ? 'Saved.' : ''}</span>
      </Acts>
      {troubles.form && <Trouble>{troubles.form}</Trouble>}
      {children}
    </Page>
  );
}

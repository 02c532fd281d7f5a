'use client';

import { styled } from 'styled-components';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import type { BuiltView } from './built-view';

interface AsBuiltPanelProps {
  readonly built: BuiltView;
  readonly unitWord: string;
  readonly system: MeasureSystem;
  readonly isClosed: boolean;
  readonly put: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

const EMPTY = {
  size: '',
  litres: '',
  plants: '',
  seed: '',
  plantedDeep: '',
  plantedOn: '',
  lot: '',
  container: '',
  medium: '',
};

/** What each unit really is. Yields by area, litre, plant and seed are counted by what stands here, and by nothing else. */
export function AsBuiltPanel({ built, unitWord, system, isClosed, put }: AsBuiltPanelProps) {
  return (
    <Built
      title="As built: size, mix, plants, seed"
      isOpen={built.lines.length + built.standing.length > 0}
      isRuled
      tone="heading"
    >
      {built.standing.map(line => (
        <p key={line}>{line}</p>
      ))}
      <Soft>
        Measure each {unitWord}, or say it for all of a kind. Harvest by area, by mix, per plant or
        per weight of seed is worked out from this alone.
      </Soft>
      {built.lines.length > 0 && (
        <ul aria-label="As built">
          {built.lines.map(line => (
            <li key={line.words}>
              <b>{line.codes}</b> {line.words}
            </li>
          ))}
        </ul>
      )}
      {!isClosed && <BuiltForm built={built} system={system} put={put} />}
    </Built>
  );
}

function BuiltForm({ built, system, put }: Pick<AsBuiltPanelProps, 'built' | 'system' | 'put'>) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm({ ...EMPTY, which: 'all' }, fields);
  const isUs = system === 'us';
  return (
    <>
      <Fields>
        <Select label="Which" {...field('which')} options={built.choices} />
        <TextField
          label="Across, sides or area"
          {...field('size')}
          placeholder={isUs ? '12 in, 4 x 8 ft' : '30 cm, 1 x 2 m'}
        />
        <TextField
          label="Mix filled in"
          {...field('litres')}
          placeholder={isUs ? '5 gal' : '12 l'}
        />
        <TextField label="Plants" {...field('plants')} inputMode="numeric" placeholder="1" />
        <TextField
          label="Seed or tubers, weight in all"
          {...field('seed')}
          placeholder={isUs ? '3 oz' : '90 g'}
        />
        <TextField
          label="Planted how deep"
          {...field('plantedDeep')}
          placeholder={isUs ? '4 in' : '10 cm'}
        />
        <TextField label="Planted on" {...field('plantedOn')} type="date" />
        <TextField label="Lot of the seed" {...field('lot')} placeholder="crate 2" />
        <TextField label="Container" {...field('container')} placeholder="sack" />
        <TextField label="Medium" {...field('medium')} placeholder="last year’s mix" />
      </Fields>
      <Soft>What is left empty stays as it stands; “none” takes it away.</Soft>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button
          onPress={() =>
            run(
              () => put(form),
              () => change(EMPTY),
            )
          }
          isPending={isPending}
        >
          Save as built
        </Button>
      </Acts>
    </>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: repeat(auto-fill, minmax(170px, 1fr)); gap: 12px; align-items: start;
`;
const Built = styled(Fold)`
  & ul { list-style: none; padding: 0; display: grid; gap: 6px; }
`;

'use client';

import { styled } from 'styled-components';
import type { TrialRules } from '@/core/trial/model/trial';
import { listed } from '@/core/words/listed';
import type { BoundField } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { Ticks } from '@/ui/fields/Ticks';
import { Soft } from '@/ui/Page';

interface AskedForProps {
  readonly rules: TrialRules;
  readonly treatments: readonly string[];
  readonly field: (key: 'askedOne' | 'askedOther') => BoundField<string>;
  readonly change: (changes: Partial<TrialRules>) => void;
}

/** What the question is about, where it is not about each against the control; several on a side are taken together. */
export function AskedFor({ rules, treatments, field, change }: AskedForProps) {
  const { askedOne, askedOther, askedOneWith, askedOtherWith } = rules;
  const named = (names: readonly string[]) => names.map(name => ({ value: name, label: name }));
  const isAsked = askedOne !== '' && askedOther !== '';
  const others = treatments.filter(name => ![askedOne, askedOther].includes(name));
  return (
    <>
      <Two>
        <Select
          label="It asks about"
          {...field('askedOne')}
          onChange={chosen =>
            change(chosen === '' ? NOTHING_ASKED : { askedOne: chosen, askedOneWith: [] })
          }
          options={[{ value: '', label: 'all against the control' }, ...named(treatments)]}
        />
        {askedOne !== '' && (
          <Select
            label="against"
            {...field('askedOther')}
            options={[
              { value: '', label: '…' },
              ...named(treatments.filter(name => ![askedOne, ...askedOneWith].includes(name))),
            ]}
          />
        )}
      </Two>
      {isAsked && others.length > 0 && (
        <>
          <Ticks
            legend={`Together with ${askedOne}:`}
            options={named(others.filter(name => !askedOtherWith.includes(name)))}
            chosen={askedOneWith}
            onChange={chosen => change({ askedOneWith: chosen })}
          />
          <Ticks
            legend={`Together with ${askedOther}:`}
            options={named(others.filter(name => !askedOneWith.includes(name)))}
            chosen={askedOtherWith}
            onChange={chosen => change({ askedOtherWith: chosen })}
          />
        </>
      )}
      {isAsked && (
        <Soft>
          The verdict will open with {listed([askedOne, ...askedOneWith])} against{' '}
          {listed([askedOther, ...askedOtherWith])}
          {askedOneWith.length + askedOtherWith.length > 0 ? ', each side taken together' : ''}.
        </Soft>
      )}
    </>
  );
}

const NOTHING_ASKED = { askedOne: '', askedOther: '', askedOneWith: [], askedOtherWith: [] };

const Two = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(160px, 1fr)); gap: 12px;
`;

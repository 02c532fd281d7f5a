'use client';

import { styled } from 'styled-components';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { HARVEST_MEASURES } from '@/core/measure/library/harvest-measures';
import { COMMON_CROPS } from '@/core/trial/common-crops';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { ControlNeeded, WhatIsCompared } from './ControlAdvice';
import { CrossedFactors } from './CrossedFactors';
import { DoseSeries } from './DoseSeries';
import { MainReading } from './MainReading';
import { MarginFields } from './MarginFields';
import { Rules } from './Rules';
import { TreatmentList } from './TreatmentList';
import { treatmentNames } from './testable-question';

/** What changes of a question, or how that comes of how it stands by then. */
export type QuestionChange = Partial<QuestionForm> | ((now: QuestionForm) => Partial<QuestionForm>);

interface QuestionSheetProps {
  readonly form: QuestionForm;
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (changes: QuestionChange) => void;
}

const OFFERED = ['sound-weight', 'sound-count', 'mean-piece-weight', 'total-weight'] as const;
const READ = { value: 'read', label: 'Something read off the plants' } as const;

const MEASURES = [
  ...HARVEST_MEASURES.flatMap(kind => {
    const value = OFFERED.find(offered => offered === kind.summary);
    return value ? [{ value, label: kind.name }] : [];
  }),
  READ,
];

/** Every line of a question, in the order in which a gardener thinks of it. */
export function QuestionSheet(props: QuestionSheetProps) {
  const { form, troubles, isLocked, onChange } = props;
  return (
    <Sheet>
      <WhatIsAsked {...props} />
      <Compared {...props} />
      <Measured {...props} />
      <WhereAndWhen {...props} />
      <Rules
        form={form}
        treatments={treatmentNames(form)}
        troubles={troubles}
        isLocked={isLocked}
        onChange={onChange}
      />
    </Sheet>
  );
}

function bound({ form, troubles, isLocked, onChange }: QuestionSheetProps) {
  return fieldsOf({ form, change: onChange, troubles, isReadOnly: isLocked });
}

function WhatIsAsked(props: QuestionSheetProps) {
  const field = bound(props);
  return (
    <>
      <TextField
        label="The question"
        {...field('question')}
        placeholder="Does a liquid feed bring more beans?"
        hint={
          !props.isLocked && 'One question. Two in one can’t both be answered by the same pots.'
        }
      />
      <div data-pair>
        <TextField
          label="What grows"
          {...field('crop')}
          placeholder="dwarf beans"
          suggestions={COMMON_CROPS}
        />
        <TextField
          label="What is picked"
          {...field('picked')}
          placeholder="beans"
          hint={!props.isLocked && 'As in “more beans”.'}
        />
      </div>
    </>
  );
}

function Compared(props: QuestionSheetProps) {
  const { form, isLocked, onChange, ...shared } = props;
  return (
    <>
      {form.made === 'listed' && (
        <TreatmentList
          {...shared}
          isLocked={isLocked}
          treatments={form.treatments}
          control={form.control}
          onChange={change =>
            onChange(({ treatments, control }) => change({ treatments, control }))
          }
        />
      )}
      {form.made === 'crossed' && (
        <CrossedFactors
          {...shared}
          isLocked={isLocked}
          factors={form.factors}
          emptyCells={form.emptyCells}
          onChange={(factors, emptyCells) => onChange({ factors, emptyCells })}
        />
      )}
      {form.made === 'series' && (
        <DoseSeries
          {...shared}
          isLocked={isLocked}
          series={form.series}
          onChange={series => onChange({ series })}
        />
      )}
      {!isLocked && <ControlNeeded act={form.act} />}
      <ComparedOtherwise {...props} />
    </>
  );
}

/** What few change: which of them is the control, what kind of thing is compared, and how they are made up. */
function ComparedOtherwise(props: QuestionSheetProps) {
  const { form, isLocked, onChange } = props;
  return (
    <Otherwise
      title="Another control, or compared otherwise"
      isOpen={form.made !== 'listed' || isLocked}
      tone="soft"
    >
      <div>
        {form.made === 'listed' && (
          <Select
            label="The control is"
            name="control"
            value={String(form.control)}
            onChange={control => onChange({ control: Number(control) })}
            isReadOnly={isLocked}
            options={form.treatments.map(({ name }, i) => ({
              value: String(i),
              label: name.trim() || `treatment ${String.fromCharCode(65 + i)}`,
            }))}
          />
        )}
        <Select
          label="How it is compared"
          {...bound(props)('made')}
          options={[
            { value: 'listed', label: 'separate treatments' },
            { value: 'crossed', label: 'two or three things combined' },
            { value: 'series', label: 'increasing amounts' },
          ]}
        />
        {!isLocked && <WhatIsCompared form={form} change={onChange} />}
      </div>
    </Otherwise>
  );
}

function Measured(props: QuestionSheetProps) {
  const { form, troubles, isLocked, onChange } = props;
  const field = bound(props);
  return (
    <>
      <div data-pair>
        <Select label="Main measure" {...field('summary')} options={MEASURES} />
        <Select
          label="Better is"
          {...field('better')}
          options={[
            { value: 'higher', label: 'more' },
            { value: 'lower', label: 'less' },
          ]}
        />
      </div>
      {form.summary === 'read' && (
        <MainReading form={form} troubles={troubles} isLocked={isLocked} onChange={onChange} />
      )}
      <MarginFields form={form} troubles={troubles} isLocked={isLocked} onChange={onChange} />
    </>
  );
}

function WhereAndWhen(props: QuestionSheetProps) {
  const field = bound(props);
  return (
    <div data-three>
      <TextField
        label="One treatment goes to a whole"
        {...field('unitWord')}
        hint={!props.isLocked && 'pot, trough, bed: what gets it apart from the others.'}
      />
      <TextField label="From" {...field('startsOn')} type="date" />
      <TextField label="To" {...field('endsOn')} type="date" />
    </div>
  );
}

const Otherwise = styled(Fold)`
  & > div { display: grid; grid-template-columns: repeat(auto-fit, minmax(200px, 1fr)); gap: 16px 24px; align-items: start; padding-top: 12px; }
`;

const Sheet = styled.div`
  && { gap: 20px; }
  & [data-pair] { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; align-items: start; }
  & [data-three] { display: grid; grid-template-columns: 1.4fr 1fr 1fr; gap: 24px; align-items: start; }
  @media (max-width: 640px) { & [data-pair], & [data-three] { grid-template-columns: minmax(0, 1fr); gap: 16px; } }
`;

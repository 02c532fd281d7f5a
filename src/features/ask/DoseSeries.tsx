'use client';

import { styled } from 'styled-components';
import type { QuestionForm } from '@/core/design/question/question-shape';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { readDoses } from '@/core/trial/forms/treatment-form';
import { fieldsOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';

interface DoseSeriesProps {
  readonly series: QuestionForm['series'];
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (series: QuestionForm['series']) => void;
}

/** Rising doses side by side; the lowest is the control. */
export function DoseSeries({ series, troubles, isLocked, onChange }: DoseSeriesProps) {
  const doses = readDoses(series.doses);
  const field = fieldsOf({
    form: series,
    change: changes => onChange({ ...series, ...changes }),
    troubles,
    path: 'series.',
    isReadOnly: isLocked,
  });
  return (
    <Series>
      <div>
        <TextField label="What rises" {...field('name')} placeholder="depth of compost" />
        <TextField label="In" {...field('unit')} placeholder="cm" />
      </div>
      <TextField
        label="Doses"
        name="doses"
        value={series.doses}
        onChange={written => onChange({ ...series, doses: written })}
        trouble={troubles['series.doses']}
        isReadOnly={isLocked}
        placeholder="0 2.5 5 10"
        hint={
          isLocked
            ? undefined
            : 'With spaces between them. Zero belongs to it; four or five show where it levels off.'
        }
      />
      {doses.ok && (
        <ul aria-label="Treatments">
          {doses.value.map((dose, i) => (
            <li key={dose}>
              <PlantLabel look={{ letter: String.fromCharCode(65 + i), index: i - 1 }} />
              {dose} {series.unit}
            </li>
          ))}
        </ul>
      )}
      <Soft>
        All doses run side by side. One dose raised week by week is another matter: dose, date and
        weather would be one thing.
      </Soft>
    </Series>
  );
}

const Series = styled.div`
  display: grid; gap: 12px;
  & > div:first-child { display: grid; grid-template-columns: 2fr 1fr; gap: 16px; align-items: start; }
  & ul { display: flex; flex-wrap: wrap; gap: 8px 20px; list-style: none; padding: 0; margin: 0; }
  & li { display: flex; gap: 8px; align-items: center; }
`;

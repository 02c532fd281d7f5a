'use client';

import { styled } from 'styled-components';
import { mainReadings } from '@/core/design/question/question-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { OWN_KEY } from '@/core/measure/library/own-fields';
import { rulerWords } from '@/core/quantity/ruler-words';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { useSystem } from '@/features/frame/use-garden-units';
import { OwnMeasureFields } from '@/features/readings/OwnMeasureFields';
import { LongSelect } from '@/ui/fields/LongSelect';
import { Soft } from '@/ui/Page';

interface MainReadingProps {
  readonly form: QuestionForm;
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** What is read off the plants, where that answers the question. Which way is better comes with it. */
export function MainReading({ form, troubles, isLocked, onChange }: MainReadingProps) {
  const system = useSystem();
  const kinds = [...mainReadings()].sort((a, b) => a.name.localeCompare(b.name));
  const chosen = kinds.find(each => each.key === form.mainKey);
  const choose = (key: string): void => {
    const kind = kinds.find(each => each.key === key);
    onChange({
      mainKey: key,
      ...(kind && kind.better !== 'neither' ? { better: kind.better } : {}),
    });
  };
  return (
    <div>
      <LongSelect
        label="What is read"
        name="mainKey"
        value={form.mainKey}
        onChange={choose}
        trouble={troubles.mainKey}
        isReadOnly={isLocked}
        options={[
          { value: OWN_KEY, label: 'A measure of your own …' },
          ...kinds.map(kind => ({ value: kind.key, label: kind.name })),
        ]}
      />
      {form.mainKey === OWN_KEY && (
        <Own>
          <OwnMeasureFields
            form={form.own}
            change={changes => onChange({ own: { ...form.own, ...changes } })}
            troubles={troubles}
            path="own."
            isReadOnly={isLocked}
          />
        </Own>
      )}
      {!isLocked && (
        <Soft>
          {chosen?.scale.kind === 'derived'
            ? `${rulerWords(chosen.definition, system)} Areas, volumes, plants and seed are put down under Lay out, “As built”.`
            : 'It is read on the walk round. The harvest can be weighed beside it: what that shows is found along the way.'}
        </Soft>
      )}
    </div>
  );
}

const Own = styled.div`
  display: grid; gap: 12px; margin-block: 12px; padding: 16px; background: var(--slate-deep);
`;

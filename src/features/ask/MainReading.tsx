'use client';

import { mainReadings } from '@/core/design/question/question-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';

interface MainReadingProps {
  readonly form: QuestionForm;
  readonly trouble: string | undefined;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** What is read off the plants, where that answers the question. Which way is better comes with it. */
export function MainReading({ form, trouble, isLocked, onChange }: MainReadingProps) {
  const kinds = [...mainReadings()].sort((a, b) => a.name.localeCompare(b.name));
  const choose = (key: string): void => {
    const kind = kinds.find(each => each.key === key);
    onChange({
      mainKey: key,
      ...(kind && kind.better !== 'neither' ? { better: kind.better } : {}),
    });
  };
  return (
    <div>
      <Select
        label="What is read"
        name="mainKey"
        value={form.mainKey}
        onChange={choose}
        trouble={trouble}
        isReadOnly={isLocked}
        options={[
          { value: '', label: 'choose …' },
          ...kinds.map(kind => ({ value: kind.key, label: kind.name })),
        ]}
      />
      {!isLocked && (
        <Soft>
          It is read on the walk round. The harvest can be weighed beside it: what that shows is
          found along the way.
        </Soft>
      )}
    </div>
  );
}

'use client';

import { styled } from 'styled-components';
import { mainReadings, type QuestionForm } from '@/core/trial/question-form';
import { Soft } from '@/ui/Page';

interface MainReadingProps {
  readonly form: QuestionForm;
  readonly trouble: string | undefined;
  readonly isLocked: boolean;
  readonly onChange: (changes: Partial<QuestionForm>) => void;
}

/** What is read off the plants, where that answers the question. Which way is better comes with it. */
export function MainReading({ form, trouble, isLocked, onChange }: MainReadingProps) {
  const kinds = mainReadings();
  const choose = (key: string): void => {
    const kind = kinds.find(each => each.key === key);
    onChange({ mainKey: key, ...(kind && kind.better !== 'neither' ? { better: kind.better } : {}) });
  };
  return (
    <Reading data-invalid={trouble === undefined ? undefined : true}>
      <label>What is read
        <select value={form.mainKey} disabled={isLocked} onChange={event => choose(event.target.value)} aria-invalid={trouble !== undefined} aria-describedby={trouble === undefined ? undefined : 'main-reading-trouble'}>
          <option value="">choose …</option>
          {[...kinds].sort((a, b) => a.name.localeCompare(b.name)).map(kind => <option key={kind.key} value={kind.key}>{kind.name}</option>)}
        </select>
      </label>
      {trouble !== undefined && <b id="main-reading-trouble">{trouble}</b>}
      {!isLocked && <Soft>It is read on the walk round. The harvest can be weighed beside it: what that shows is found along the way.</Soft>}
    </Reading>
  );
}

const Reading = styled.div`
  display: grid; gap: 6px;
  & label { display: grid; gap: 4px; font-weight: 600; max-width: 420px; }
  & select { min-height: 44px; border: 0; border-bottom: 2px solid var(--rule-strong); background: var(--paper); padding: 6px 10px; font-size: 1rem; width: 100%; }
  &[data-invalid] select { border-bottom-color: var(--beet); }
  & b { color: var(--beet); font-weight: 600; }
  @media (pointer: coarse) { & select { min-height: 48px; } }
`;

import { ACT_WORDS } from '@/core/design/question/compared-act';
import { CONTROL_NEEDS } from '@/core/design/question/control-advice';
import { Act, type QuestionForm } from '@/core/design/question/question-shape';
import { Select } from '@/ui/fields/Select';
import { Soft } from '@/ui/Page';

interface WhatIsComparedProps {
  readonly form: QuestionForm;
  readonly change: (changes: Pick<QuestionForm, 'act'>) => void;
}

/** What kind of thing is compared: its control hangs on that. */
export function WhatIsCompared({ form, change }: WhatIsComparedProps) {
  return (
    <Select
      label="What is compared is"
      name="act"
      value={form.act}
      onChange={act => change({ act })}
      options={Act.options.map(act => ({ value: act, label: ACT_WORDS[act] }))}
    />
  );
}

/** Which control such a thing needs, and why. */
export function ControlNeeded({ act }: Pick<QuestionForm, 'act'>) {
  const [need, ...others] = CONTROL_NEEDS[act];
  if (!need) return null;
  return (
    <Soft>
      <b>The control here:</b> {need.words} Without it {need.without}.
      {others.map(
        other => ` Also useful: ${other.words.charAt(0).toLowerCase()}${other.words.slice(1)}`,
      )}
    </Soft>
  );
}

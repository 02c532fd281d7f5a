import { CONTROL_NEEDS } from '@/core/design/question/control-advice';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { Soft } from '@/ui/Page';

/** Which control this kind of question needs, beside the list of what is compared. */
export function ControlAdvice({ form }: { readonly form: QuestionForm }) {
  const [need, ...others] = CONTROL_NEEDS[form.act];
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

import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Trouble } from '@/ui/Trouble';

/** What stands in the way of a change; what is wrong with a field stands beside that field instead. */
export function ActionTrouble({ trouble }: { readonly trouble: TrialTrouble | undefined }) {
  if (!trouble || trouble.kind === 'invalid') return null;
  return <Trouble>{trialSentence(trouble)}</Trouble>;
}

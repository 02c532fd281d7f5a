import type { BenchDraft } from '@/core/design/layouts/bench-form';
import type { ProposedPlan } from '@/core/judge/planning/proposed-plans';

const MOST_BLOCKS = 24;
const FEW_BLOCKS = 12;

/** A proposed plan as the layout's form would hold it: every treatment once in every block, or more often where there are very many. */
export function planDraft({ treatments, each }: ProposedPlan, form: BenchDraft): BenchDraft {
  const isMany = each > MOST_BLOCKS;
  const isPairs = treatments === 2 && !isMany;
  return {
    ...form,
    kind: isPairs ? 'pairs' : 'complete-blocks',
    blockCount: String(isMany ? FEW_BLOCKS : each),
    unitsEach: String(isMany ? Math.floor(each / FEW_BLOCKS) : 1),
    controlEach: '',
    blockWord: isPairs && form.blockWord === 'shelf' ? 'pair' : form.blockWord,
  };
}

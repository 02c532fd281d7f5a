import { judge } from '@/core/judge/outcomes/judge';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';

const REMEMBERED = 30;
const remembered = new Map<string, Judgement>();

/** The judge, who remembers the last verdicts: a page is looked at more often than its trial changes, and the shuffles take longest. */
export function rememberedJudge(input: JudgeInput): Judgement {
  const asked = JSON.stringify(input);
  const judgement = remembered.get(asked) ?? judge(input);
  remembered.delete(asked);
  remembered.set(asked, judgement); // those asked for last stand last
  for (const oldest of remembered.keys()) {
    if (remembered.size <= REMEMBERED) break;
    remembered.delete(oldest);
  }
  return judgement;
}

import { judge } from '@/core/judge/outcomes/judge';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { remembering } from './remembering';

/** The judge, who remembers the last verdicts: the shuffles take longest. */
export const rememberedJudge: (input: JudgeInput) => Judgement = remembering(judge);

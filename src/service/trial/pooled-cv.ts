import { z } from 'zod';
import type { Measure } from '@/core/trial/model/measure';
import { database } from '@/store/connection/database';
import { frozenJudgements } from '@/store/verdicts';

/** How units treated alike spread in this gardener's own closed trials. */
export interface PooledCv {
  readonly cv: number;
  readonly trials: number;
}

const Frozen = z.object({
  anova: z.array(z.object({ term: z.string(), df: z.number(), ms: z.number() })),
  groups: z.array(z.object({ mean: z.number() })),
});

/** Pooled over the closed trials of one kind of measure, each weighted by its degrees of freedom; null where there is none. */
export async function pooledCv({
  summary,
  kindKey,
}: Pick<Measure, 'summary' | 'kindKey'>): Promise<PooledCv | null> {
  const judged = (await frozenJudgements(database(), summary, kindKey)).flatMap(json => {
    const parsed = Frozen.safeParse(JSON.parse(json));
    if (!parsed.success) return [];
    const residual = parsed.data.anova.find(row => row.term === 'residual');
    const mean =
      parsed.data.groups.reduce((sum, group) => sum + group.mean, 0) /
      Math.max(1, parsed.data.groups.length);
    return residual && residual.df > 0 && residual.ms > 0 && mean > 0
      ? [{ df: residual.df, square: residual.ms / mean ** 2 }]
      : [];
  });
  const df = judged.reduce((sum, trial) => sum + trial.df, 0);
  return df === 0
    ? null
    : {
        cv: Math.sqrt(judged.reduce((sum, trial) => sum + trial.df * trial.square, 0) / df),
        trials: judged.length,
      };
}

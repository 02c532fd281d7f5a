import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { Call, Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';

/** What the verdict would be without one unit. */
export interface WithoutUnit {
  readonly unit: string;
  readonly treatment: string;
  /** Calls that would be others. */
  readonly changes: readonly {
    readonly treatment: string;
    readonly from: Call;
    readonly to: Call;
  }[];
}

/** Units that can be left out in turn. */
export function unitsInTurn(input: JudgeInput): readonly string[] {
  return input.units.filter(unit => unit.value !== null).map(unit => unit.id);
}

/** The verdict without one unit, beside the verdict with it; the shuffles are left aside. */
export function withoutUnit(
  input: JudgeInput,
  judgement: Pick<Judgement, 'contrasts'>,
  unitId: string,
): WithoutUnit {
  const found = judgeWithoutShuffle({
    ...input,
    shuffles: 0,
    units: input.units.map(unit =>
      unit.id === unitId ? { ...unit, value: null, isLeftOut: true } : unit,
    ),
  });
  return {
    unit: unitId,
    treatment: input.units.find(unit => unit.id === unitId)?.treatment ?? '',
    changes: judgement.contrasts.flatMap(({ treatment, call }) => {
      const to = found.contrasts.find(each => each.treatment === treatment)?.call ?? 'no-test';
      return to === call ? [] : [{ treatment, from: call, to }];
    }),
  };
}

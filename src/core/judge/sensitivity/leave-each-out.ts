import { askedContrastsOf, askedOf } from '@/core/judge/outcomes/asked-contrasts';
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

/** What the question compares without one unit, beside the same with it. */
export function withoutUnit(
  input: JudgeInput,
  judgement: Pick<Judgement, 'agreed' | 'effects' | 'trend' | 'contrasts'>,
  unitId: string,
): WithoutUnit {
  const found = askedContrastsOf({
    ...input,
    units: input.units.map(unit =>
      unit.id === unitId ? { ...unit, value: null, isLeftOut: true } : unit,
    ),
  });
  return {
    unit: unitId,
    treatment: input.units.find(unit => unit.id === unitId)?.treatment ?? '',
    changes: askedOf(judgement).flatMap(({ treatment, call }) => {
      const to = found.find(each => each.treatment === treatment)?.call ?? 'no-test';
      return to === call ? [] : [{ treatment, from: call, to }];
    }),
  };
}

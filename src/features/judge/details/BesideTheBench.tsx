import { type ReactNode, useMemo } from 'react';
import { seenTrial } from '@/core/blinding/seen-trial';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { unitWords } from '@/core/judge/verdict/words/unit-words';
import type { TrialData } from '@/core/trial/model/trial-data';
import { Bench } from '@/features/bench/Bench';
import { type BenchUnit, type BenchView, benchViewOf } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { TwoParts } from '@/ui/Page';

interface BesideTheBenchProps {
  readonly data: TrialData;
  readonly analysis: Analysis;
  readonly printValue: (value: number) => string;
  readonly children: (unit: BenchUnit | undefined) => ReactNode;
}

/** The bench with its values, and beside it what concerns the one that is chosen on it. */
export function BesideTheBench({ data, analysis, printValue, children }: BesideTheBenchProps) {
  const chosen = useChosenUnit();
  const bench = useMemo(() => benchViewOf(seenTrial(data), true), [data]);
  return (
    <TwoParts>
      <WhereTheyStood
        bench={bench}
        input={analysis.input}
        analysis={analysis}
        printValue={printValue}
      />
      <div>{children(bench?.units.find(unit => unit.id === chosen.unitId))}</div>
    </TwoParts>
  );
}

interface WhereTheyStoodProps {
  readonly bench: BenchView | null;
  readonly input: JudgeInput;
  readonly analysis: Analysis;
  readonly printValue: (value: number) => string;
}

function WhereTheyStood({ bench, input, analysis, printValue }: WhereTheyStoodProps) {
  return (
    <div>
      <h2>Where they stood</h2>
      {bench && (
        <Bench
          view={bench}
          label={`The bench from above: the fuller the crown, the more ${input.response}`}
          lens={lensOf(analysis, printValue)}
        />
      )}
    </div>
  );
}

function lensOf({ input }: Analysis, printValue: (value: number) => string) {
  const values = new Map(input.units.map(unit => [unit.id, unit]));
  const figures = input.units.map(unit => (isRead(unit) ? figureOf(unit) : 0));
  const most = Math.max(1e-9, ...figures.map(Math.abs));
  return (unit: BenchUnit) => {
    const judged = values.get(unit.code);
    const figure = judged && isRead(judged) ? figureOf(judged) : null;
    return {
      state: figure === null ? ('open' as const) : ('done' as const),
      share: figure === null ? null : Math.max(0, figure / most),
      words: judged ? unitWords(judged, input, printValue) : 'no reading',
    };
  };
}

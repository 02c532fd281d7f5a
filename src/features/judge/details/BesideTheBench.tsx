import { type ReactNode, useMemo, useState } from 'react';
import { seenTrial } from '@/core/blinding/seen-trial';
import { figureOf, isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { leftOver } from '@/core/judge/sensitivity/left-over';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { unitWords } from '@/core/judge/verdict/words/unit-words';
import type { TrialData } from '@/core/trial/model/trial-data';
import { pluralOf } from '@/core/words/plural';
import { Bench } from '@/features/bench/Bench';
import { type BenchUnit, type BenchView, benchViewOf } from '@/features/bench/bench-view';
import { useChosenUnit } from '@/features/bench/ChosenUnit';
import { Choice } from '@/ui/fields/Choice';
import { Soft, TwoParts } from '@/ui/Page';

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
  const [shows, setShows] = useState<'given' | 'left'>('given');
  const left = useMemo(() => leftOver(input), [input]);
  return (
    <div>
      <h2>Where they stood</h2>
      {left.size > 0 && (
        <Choice
          label="The crowns show"
          name="benchShows"
          value={shows}
          onChange={setShows}
          options={LENSES}
          direction="row"
        />
      )}
      {bench && (
        <Bench
          view={bench}
          label={`The bench from above: the fuller the crown, the more ${shows === 'left' ? 'it gave than its treatment and its place say' : input.response}`}
          lens={shows === 'left' ? leftLens(left, printValue) : lensOf(analysis, printValue)}
        />
      )}
      {shows === 'left' && (
        <Soft>
          Treatments and {pluralOf(input.blockNames[0] ?? 'block')} are taken out. Full crowns side
          by side: a better spot that the plan did not cut out.
        </Soft>
      )}
    </div>
  );
}

const LENSES = [
  { value: 'given', label: 'what each gave' },
  { value: 'left', label: 'what is left over' },
] as const;

/** Half a crown is just what treatment and block say; the largest gap either way is none or a full one. */
function leftLens(left: ReadonlyMap<string, number>, printValue: (value: number) => string) {
  const most = Math.max(...[...left.values()].map(Math.abs));
  return (unit: BenchUnit) => {
    const gap = left.get(unit.code);
    if (gap === undefined) return { state: 'open' as const, share: null, words: 'no reading' };
    return {
      state: 'done' as const,
      share: 0.5 + gap / (2 * most),
      words: `${printValue(Math.abs(gap))} ${gap < 0 ? 'less' : 'more'} than expected there`,
    };
  };
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

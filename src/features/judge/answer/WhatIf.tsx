'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Margin } from '@/core/judge/question/judge-input';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { Measure } from '@/core/trial/model/measure';
import type { BenchUnit } from '@/features/bench/bench-view';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Tick } from '@/ui/fields/Tick';
import { Acts, Soft } from '@/ui/Page';
import { differencesOf } from './differences';

interface WhatIfProps {
  readonly planned: AnalysisSpec;
  readonly spec: AnalysisSpec;
  readonly measures: readonly Measure[];
  readonly unit: BenchUnit | undefined;
  readonly unitWord: string;
  readonly printValue: (value: number) => string;
  readonly onAnalyse: (spec: AnalysisSpec) => void;
}

/** Another margin, another measure, a pot left out: the verdict follows at once, and says what differs from the plan. */
export function WhatIf(props: WhatIfProps) {
  const { planned, spec, measures, unitWord, printValue, onAnalyse } = props;
  const [typed, setTyped] = useState<string>();
  const margin = stillMeant(typed, spec) ? typed : marginWritten(spec);
  const [trouble, setTrouble] = useState<string>();
  const differences = differencesOf(planned, spec, measures, printValue);
  const changeMargin = (written: string): void => {
    setTyped(written);
    const read = readPercent(written);
    setTrouble(
      read === undefined ? 'A percentage above zero, or nothing for any difference.' : undefined,
    );
    if (read !== undefined) onAnalyse({ ...spec, margin: read });
  };
  const reset = (): void => {
    setTyped(undefined);
    setTrouble(undefined);
    onAnalyse(planned);
  };
  return (
    <section aria-label="Look at it otherwise">
      <h2>Look at it otherwise</h2>
      <WhatIfFields
        margin={margin}
        changeMargin={changeMargin}
        trouble={trouble}
        spec={spec}
        onAnalyse={onAnalyse}
        measures={measures}
      />
      <Tick
        isOn={spec.isByPlace ?? false}
        onChange={isByPlace => onAnalyse({ ...spec, isByPlace })}
      >
        Allow for where each {unitWord} stands: a slope across and along the bench
      </Tick>
      <WithoutUnit {...props} />
      {differences.length > 0 && (
        <Differs role="status">
          <b>Not as planned:</b> {differences.join('; ')}.{' '}
          <Button data-tone="quiet" onPress={reset}>
            Back to the plan
          </Button>
        </Differs>
      )}
    </section>
  );
}

/** What was typed stands as it was typed, until what is looked at is another: by the way back, or by another page. */
function stillMeant(typed: string | undefined, { margin }: AnalysisSpec): typed is string {
  if (typed === undefined) return false;
  const read = readPercent(typed);
  return read === undefined || JSON.stringify(read) === JSON.stringify(margin);
}

function marginWritten({ margin }: AnalysisSpec): string {
  return margin?.kind === 'percent' ? String(margin.percent) : '';
}

/** The chosen unit left out, for a look, and back in. */
function WithoutUnit({ spec, unit, unitWord, onAnalyse }: WhatIfProps) {
  if (!unit) return <Soft>Choose a {unitWord} on the bench to see the verdict without it.</Soft>;
  const { code } = unit;
  const isOut = spec.leftOut.includes(code);
  const leftOut = isOut ? spec.leftOut.filter(each => each !== code) : [...spec.leftOut, code];
  return (
    <Acts>
      <Button onPress={() => onAnalyse({ ...spec, leftOut })}>
        {isOut ? `Take ${code} back in, for a look` : `Leave ${code} out, for a look`}
      </Button>
    </Acts>
  );
}

interface WhatIfFieldsProps {
  readonly margin: string;
  readonly changeMargin: (written: string) => void;
  readonly trouble: string | undefined;
  readonly spec: WhatIfProps['spec'];
  readonly onAnalyse: WhatIfProps['onAnalyse'];
  readonly measures: WhatIfProps['measures'];
}

function WhatIfFields({
  margin,
  changeMargin,
  trouble,
  spec,
  onAnalyse,
  measures,
}: WhatIfFieldsProps) {
  return (
    <Fields>
      <TextField
        label="Smallest difference worth having, %"
        name="margin"
        value={margin}
        onChange={changeMargin}
        trouble={trouble}
        inputMode="decimal"
      />
      <Select
        label="Measure"
        name="measure"
        value={spec.measureId}
        onChange={measureId => onAnalyse({ ...spec, measureId })}
        options={measures.map(measure => ({
          value: measure.id,
          label: `${measure.name}${measure.isMain ? ' (main)' : ''}`,
        }))}
      />
    </Fields>
  );
}

function readPercent(written: string): Margin | null | undefined {
  const trimmed = written.trim().replace(/\s*%$/, '').replace(',', '.');
  if (trimmed === '') return null;
  const percent = Number(trimmed);
  return /^\d+(\.\d+)?$/.test(trimmed) && percent > 0 && percent <= 1000
    ? { kind: 'percent', percent }
    : undefined;
}

const Fields = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 24px; margin-block: 10px; align-items: end;
`;

const Differs = styled.p`
  border-left: 3px solid var(--straw); padding-left: 10px; margin-top: 10px;
  & b { color: var(--straw); }
`;

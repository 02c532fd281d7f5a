'use client';

import { styled } from 'styled-components';
import type { FactorEffect } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { gapFigure } from '@/core/judge/verdict/gap-figures';
import { CALL_WORDS } from '@/features/judge/call-words';
import { printP } from '@/features/judge/print-value';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { CALL_TONES, intervalWords } from './contrast-words';

interface FactorEffectsProps {
  readonly analysis: Analysis;
  readonly printValue: (value: number) => string;
}

/** Of a crossed trial: what each of its factors does, averaged over the others, and within their levels. */
export function FactorEffects({ analysis: { judgement, input }, printValue }: FactorEffectsProps) {
  const { effects } = judgement;
  if (effects.length === 0) return null;
  return (
    <Effects aria-label="What each does">
      <h2>What each does</h2>
      <WideTable label="What each factor does">
        <TableHead of={['what', 'averaged or within', 'result', 'gap', 'interval', 'p']} />
        <tbody>
          {effects.map(effect => (
            <EffectRow key={keyOf(effect)} effect={effect} input={input} printValue={printValue} />
          ))}
        </tbody>
      </WideTable>
    </Effects>
  );
}

interface EffectRowProps {
  readonly input: JudgeInput;
  readonly effect: FactorEffect;
  readonly printValue: (value: number) => string;
}

function EffectRow({ effect, input, printValue }: EffectRowProps) {
  return (
    <tr>
      <th scope="row">
        {effect.level} against {effect.against}
      </th>
      <td>{whereWords(effect)}</td>
      <td data-call={CALL_TONES[effect.call]}>{CALL_WORDS[effect.call]}</td>
      <td>{gapFigure(effect, input, printValue)}</td>
      <td>{intervalWords(effect, input, printValue)}</td>
      <td>{printP(effect.pAdjusted)}</td>
    </tr>
  );
}

function whereWords({ within }: FactorEffect): string {
  if (within === null) return 'averaged';
  return Object.entries(within)
    .map(([factor, level]) => `with ${factor} ${level}`)
    .join(', ');
}

function keyOf({ factor, level, within }: FactorEffect): string {
  return JSON.stringify([factor, level, within]);
}

const Effects = styled.section`
  display: grid; gap: 10px; grid-template-columns: minmax(0, 1fr);
  & th[scope='row'] { color: var(--ink); font-size: 1rem; }
  & [data-call] { font-weight: 700; }
  & [data-call='leaf'] { color: var(--leaf); } & [data-call='beet'] { color: var(--beet); } & [data-call='straw'] { color: var(--straw); }
`;

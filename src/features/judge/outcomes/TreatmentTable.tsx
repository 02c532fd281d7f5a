'use client';

import { styled } from 'styled-components';
import type { OutcomeContrast, OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';
import { isBetter, isWorse } from '@/core/judge/verdict/call';
import { groupWords, METHOD_WORDS } from '@/core/judge/verdict/outcome-words';
import type { TagView } from '@/features/bench/bench-view';
import { CALL_WORDS, DIFFERENCE_WORDS } from '@/features/judge/call-words';
import { printFigure, printP } from '@/features/judge/print-value';
import { PlantLabel } from '@/ui/PlantLabel';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

interface TreatmentTableProps {
  readonly input: OutcomeInput;
  readonly judgement: OutcomeJudgement;
  readonly tags: readonly TagView[];
}

export function TreatmentTable({ input, judgement, tags }: TreatmentTableProps) {
  return (
    <WideTable label={`Every treatment against ${input.control}`}>
      <TableHead
        of={[
          'Treatment',
          'so it is',
          'found',
          'how large',
          '95% interval',
          'p',
          'by dealing again',
          'by',
        ]}
      />
      <tbody>
        {judgement.groups.map(group => {
          const contrast = judgement.contrasts.find(each => each.treatment === group.treatment);
          return (
            <tr key={group.treatment}>
              <th scope="row">
                <Tagged>
                  <PlantLabel look={tags.find(tag => tag.name === group.treatment)} width={14} />
                  {group.treatment}
                </Tagged>
              </th>
              <Cells input={input} contrast={contrast} found={groupWords(input, group)} />
            </tr>
          );
        })}
      </tbody>
    </WideTable>
  );
}

function Cells({
  input: { kind, hasNoGoodDirection = false },
  contrast,
  found,
}: {
  readonly input: OutcomeInput;
  readonly contrast: OutcomeContrast | undefined;
  readonly found: string;
}) {
  if (!contrast)
    return (
      <>
        <td>the control</td>
        <td>{found}</td>
        <td colSpan={5} />
      </>
    );
  if (!contrast.estimable)
    return (
      <>
        <td>can’t be compared</td>
        <td>{found}</td>
        <td colSpan={5} />
      </>
    );
  const { call, p, pAdjusted, method } = contrast;
  // Without a test the gap is told, and nothing that would make it look like a result.
  const isTested = call !== 'no-test';
  const size = sizeOf(kind, contrast);
  const tone = hasNoGoodDirection
    ? 'ink'
    : isBetter(call)
      ? 'leaf'
      : isWorse(call)
        ? 'beet'
        : 'straw';
  return (
    <>
      <td data-call={tone}>
        <b style={{ color: `var(--${tone})` }}>
          {(hasNoGoodDirection ? DIFFERENCE_WORDS : CALL_WORDS)[call]}
        </b>
      </td>
      <td>{found}</td>
      <td>{size.words}</td>
      <td>{isTested ? size.ci : '—'}</td>
      <td>{printP(isTested ? p : null)}</td>
      <td>{printP(isTested ? pAdjusted : null)}</td>
      <td data-long>{isTested ? METHOD_WORDS[method] : ''}</td>
    </>
  );
}

/** How large it is, with an interval on the same scale. */
function sizeOf(
  kind: OutcomeInput['kind'],
  { effect, difference, ci }: Extract<OutcomeContrast, { readonly estimable: true }>,
): { readonly words: string; readonly ci: string } {
  const signed = (value: number, by = 1): string =>
    `${value < 0 ? '−' : '+'}${printFigure(Math.abs(Number((value * by).toPrecision(3))))}`;
  const range = (ends: readonly [number, number] | null, by = 1): string =>
    ends ? ends.map(end => signed(end, by)).join(' to ') : '—';
  if (effect?.what === 'rate-ratio')
    return {
      words: `${printFigure(Number(effect.value.toPrecision(3)))} times as many`,
      ci: effect.ci
        ? effect.ci.map(end => printFigure(Number(end.toPrecision(3)))).join(' to ')
        : '—',
    };
  if (effect?.what === 'chance-of-larger')
    return {
      words: `larger in ${Math.round(100 * effect.value)} of 100`,
      ci: effect.ci ? effect.ci.map(end => String(Math.round(100 * end))).join(' to ') : '—',
    };
  if (kind === 'proportion')
    return { words: `${signed(difference, 100)} points`, ci: range(ci, 100) };
  return {
    words: kind === 'time' ? `${signed(difference)} days` : signed(difference),
    ci: range(ci),
  };
}

const Tagged = styled.span`
  display: inline-flex; gap: 8px; align-items: center;
`;

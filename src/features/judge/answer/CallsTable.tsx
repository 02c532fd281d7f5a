'use client';

import { styled } from 'styled-components';
import type { Contrast, TreatmentGroup } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { gapFigure } from '@/core/judge/verdict/gap-figures';
import { groupWords } from '@/core/judge/verdict/words/group-words';
import { pluralOf } from '@/core/words/plural';
import type { TagView } from '@/features/bench/bench-view';
import { CALL_WORDS, DIFFERENCE_WORDS } from '@/features/judge/call-words';
import { printP } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import { PlantLabel } from '@/ui/PlantLabel';
import { WideTable } from '@/ui/WideTable';
import { CALL_TONES, intervalWords } from './contrast-words';
import { workingOf } from './working';

interface CallsTableProps {
  readonly analysis: Analysis;
  readonly tags: readonly TagView[];
  readonly printValue: (value: number) => string;
}

/** What is said of each treatment, with the figures it rests on; each row opens to its working. */
export function CallsTable({ analysis, tags, printValue }: CallsTableProps) {
  const { judgement, input } = analysis;
  const groups = new Map(judgement.groups.map(group => [group.treatment, group]));
  const control = groups.get(input.control);
  return (
    <Calls label="Every treatment against the control">
      <caption>Every treatment against {input.control}</caption>
      <thead>
        <tr>
          <th scope="col">Treatment</th>
          <th scope="col">Result</th>
          <th scope="col" data-figure>
            {pluralOf(input.unitWord)}
          </th>
          <th scope="col" data-figure>
            {input.outcome === 'continuous' ? 'mean' : 'found'}
          </th>
          <th scope="col" data-figure>
            gap
          </th>
          <th scope="col">95% interval, all together</th>
          <th scope="col" data-figure>
            p, all together
          </th>
          <th scope="col" data-figure>
            p, shuffles
          </th>
        </tr>
      </thead>
      <tbody>
        {testsOf(input).map(name => (
          <Row
            key={name}
            name={name}
            analysis={analysis}
            contrast={judgement.contrasts.find(contrast => contrast.treatment === name)}
            tag={tags.find(tag => tag.name === name)}
            printValue={printValue}
          />
        ))}
        <tr>
          <th scope="row">
            <PlantLabel look={tags.find(tag => tag.name === input.control)} width={16} />
            {input.control}
          </th>
          <td>the control</td>
          <td data-figure>{control?.n ?? 0}</td>
          <td data-figure>{foundWords(input, control, printValue)}</td>
          <td colSpan={4} />
        </tr>
      </tbody>
    </Calls>
  );
}

/** A mean in the measure's own unit; of all else what was found, in words. */
function foundWords(
  input: JudgeInput,
  group: TreatmentGroup | undefined,
  printValue: (value: number) => string,
): string {
  if (!group) return '—';
  return input.outcome === 'continuous' ? printValue(group.mean) : groupWords(input, group);
}

interface RowProps {
  readonly name: string;
  readonly analysis: Analysis;
  readonly contrast: Contrast | undefined;
  readonly tag: TagView | undefined;
  readonly printValue: (value: number) => string;
}

function Row({ name, analysis: { judgement, input }, contrast, tag, printValue }: RowProps) {
  const group = judgement.groups.find(candidate => candidate.treatment === name);
  const head = (
    <th scope="row">
      <PlantLabel look={tag} width={16} />
      {name}
    </th>
  );
  const counts = (
    <>
      <td data-figure>{group?.n ?? 0}</td>
      <td data-figure>{foundWords(input, group, printValue)}</td>
    </>
  );
  if (!contrast?.estimable)
    return (
      <tr>
        {head}
        <td>can’t be compared</td>
        {counts}
        <td colSpan={4} />
      </tr>
    );
  return (
    <>
      <tr>
        {head}
        <td data-call={input.hasNoGoodDirection ? 'ink' : CALL_TONES[contrast.call]}>
          {(input.hasNoGoodDirection ? DIFFERENCE_WORDS : CALL_WORDS)[contrast.call]}
        </td>
        {counts}
        <td data-figure>{gapFigure(contrast, input, printValue)}</td>
        <td>{intervalWords(contrast, input, printValue)}</td>
        <td data-figure>{printP(contrast.pAdjusted)}</td>
        <td data-figure>{printP(contrast.shufflePAdjusted)}</td>
      </tr>
      <tr data-working>
        <td colSpan={8}>
          <Fold title={`Show the working for ${name}`}>
            <dl>
              {workingOf(contrast, judgement, input).map(step => (
                <div key={step.figure}>
                  <dt>{step.figure}</dt>
                  <dd>
                    <span>{step.formula}</span>
                    <b>{step.numbers}</b>
                    <small>{step.source}</small>
                  </dd>
                </div>
              ))}
            </dl>
          </Fold>
        </td>
      </tr>
    </>
  );
}

const Calls = styled(WideTable)`
  & caption { text-align: left; font-family: var(--font-heading), sans-serif; font-weight: 650; font-size: 1.25rem; padding-bottom: 8px; }
  & th[scope='row'] svg { vertical-align: -8px; margin-right: 10px; }
  && [data-figure] { text-align: right; }
  & [data-call] { font-weight: 700; }
  & [data-call='leaf'] { color: var(--leaf); } & [data-call='beet'] { color: var(--beet); } & [data-call='straw'] { color: var(--straw); }
  && [data-working] td { padding-top: 0; white-space: normal; }
  & tr:has(+ [data-working]) > * { border-bottom-color: transparent; }
  & dl { display: grid; gap: 8px; margin: 12px 0; }
  & dl > div { display: grid; grid-template-columns: 200px 1fr; gap: 16px; }
  & dt { font-weight: 600; } & dd { margin: 0; display: grid; }
  & dd small, & dd span { color: var(--ink-soft); font-size: 0.9375rem; }
  @media (max-width: 640px) { & dl > div { grid-template-columns: 1fr; gap: 0; } }
`;

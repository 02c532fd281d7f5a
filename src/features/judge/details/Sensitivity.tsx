'use client';

import { useRef, useState } from 'react';
import { styled } from 'styled-components';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import {
  unitsInTurn,
  type WithoutUnit,
  withoutUnit,
} from '@/core/judge/sensitivity/leave-each-out';
import type { PositionCheck } from '@/core/judge/sensitivity/position-check';
import { setWords } from '@/core/judge/units/analysis-sets';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import type { Trial } from '@/core/trial/model/trial';
import { counted, pluralOf } from '@/core/words/plural';
import { CALL_WORDS } from '@/features/judge/call-words';
import { printP } from '@/features/judge/print-value';
import { Button } from '@/ui/Button';
import { HowFar } from '@/ui/HowFar';
import { Acts, Soft } from '@/ui/Page';
import { WideTable } from '@/ui/WideTable';

interface SensitivityProps {
  readonly analysis: Analysis;
  readonly trial: Pick<Trial, 'isBlind'>;
  readonly position: PositionCheck | null;
  /** The reader's own error, where something was read twice. */
  readonly readerWords: readonly string[];
}

/** How firm it is: with all in, as planned, without mishaps; each unit left out in turn; what is left in the places. */
export function Sensitivity({ analysis, trial, position, readerWords }: SensitivityProps) {
  const { judgement, input, allIn, sound } = analysis;
  const sets = [
    ['all', allIn ?? judgement],
    ['planned', judgement],
    ['sound', sound ?? judgement],
  ] as const;
  const isOneSet = allIn === null && sound === null;
  return (
    <Box aria-label="How firm is it?">
      <h2>How firm is it?</h2>
      {isOneSet ? (
        <Soft>
          No {input.unitWord} was left out and none had a mishap: all three ways of counting are
          one.
        </Soft>
      ) : (
        <WideTable label="The verdict by what is counted">
          <thead>
            <tr>
              <th scope="col">Counted</th>
              {judgement.contrasts.map(contrast => (
                <th key={contrast.treatment} scope="col">
                  {contrast.treatment}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sets.map(([set, found]) => (
              <tr key={set}>
                <th scope="row">
                  {setWords(set, trial)}
                  <small>{counted(found.design.units, input.unitWord)}</small>
                </th>
                {found.contrasts.map(contrast => (
                  <td key={contrast.treatment}>
                    {contrast.estimable ? rangeWords(contrast) : ''}
                    <small>{CALL_WORDS[contrast.call]}</small>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </WideTable>
      )}
      <EachOut key={input.units.map(unit => unit.value).join()} analysis={analysis} />
      {position && <p>{positionWords(position, input.unitWord)}</p>}
      {readerWords.map(words => (
        <p key={words}>{words}</p>
      ))}
    </Box>
  );
}

function rangeWords(
  contrast: Extract<Judgement['contrasts'][number], { readonly estimable: true }>,
): string {
  const say = (value: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(0)}%`;
  return contrast.percent === null
    ? ''
    : `${say(contrast.percent)}${contrast.percentCiAdjusted ? ` (${say(contrast.percentCiAdjusted[0])} to ${say(contrast.percentCiAdjusted[1])})` : ''}`;
}

function positionWords(
  { gradientP, towards, neighbours }: PositionCheck,
  unitWord: string,
): string {
  const slope =
    gradientP !== null && gradientP < 0.05
      ? `What is left rises towards ${towards} of the bench (p ${printP(gradientP)}): the blocks did not take the slope out. Next time cut them across it.`
      : `No slope is left along or across the bench${gradientP === null ? '' : ` (p ${printP(gradientP)})`}.`;
  const like =
    neighbours && neighbours.p < 0.05
      ? ` Neighbours are alike (p ${printP(neighbours.p)}): something in the place, or from ${unitWord} to ${unitWord}, is at work.`
      : neighbours
        ? ` Neighbours are no more alike than ${pluralOf(unitWord)} far apart (p ${printP(neighbours.p)}).`
        : '';
  return slope + like;
}

/** Every unit left out in turn: one giant plant must not make a verdict. */
function EachOut({ analysis: { input, judgement } }: { readonly analysis: Analysis }) {
  const [found, setFound] = useState<readonly WithoutUnit[]>([]);
  const [done, setDone] = useState<number | null>(null);
  const run = useRef(0);
  const units = unitsInTurn(input);
  const start = (): void => {
    const own = ++run.current;
    const results: WithoutUnit[] = [];
    setFound([]);
    setDone(0);
    const step = (at: number): void => {
      if (own !== run.current) return;
      const unit = units[at];
      if (unit === undefined) return;
      results.push(withoutUnit(input, judgement, unit));
      setFound([...results]);
      setDone(at + 1);
      setTimeout(() => step(at + 1)); // the page stays alive between two of them
    };
    setTimeout(() => step(0));
  };
  const changing = found.filter(each => each.changes.length > 0);
  return (
    <div>
      {done === null && (
        <Acts>
          <Button onPress={start}>Leave each {input.unitWord} out in turn</Button>
        </Acts>
      )}
      {done !== null && done < units.length && (
        <div role="status">
          <HowFar label="Left out in turn" done={done} of={units.length} /> {done} of {units.length}
        </div>
      )}
      {done === units.length && (
        <p role="status">
          {changing.length === 0
            ? `Whichever one of the ${units.length} is left out, every call stays what it is.`
            : `${changing.length} of ${units.length} would change a call if left out:`}
        </p>
      )}
      {changing.length > 0 && (
        <ul>
          {changing.map(each => (
            <li key={each.unit}>
              without <b>{each.unit}</b> ({each.treatment}):{' '}
              {each.changes
                .map(
                  change =>
                    `${change.treatment} ${CALL_WORDS[change.to]} instead of ${CALL_WORDS[change.from]}`,
                )
                .join('; ')}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & small { display: block; color: var(--ink-soft); font-weight: 400; }
  & ul { margin: 6px 0; padding-left: 20px; max-width: var(--measure); }
  & p { max-width: var(--measure); }
`;

'use client';

import { styled } from 'styled-components';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { signedGap } from '@/core/judge/verdict/gap-figures';
import { METHOD_WORDS } from '@/core/judge/verdict/words/method-words';
import { unitWords } from '@/core/judge/verdict/words/unit-words';
import { pluralOf } from '@/core/words/plural';
import { printFigure, printP } from '@/features/judge/print-value';
import { Fold } from '@/ui/Fold';
import { SortedTable } from '@/ui/SortedTable';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';

/** One thing done to a trial. */
export interface LogLine {
  readonly at: string;
  readonly what: string;
}

interface TablesProps {
  readonly analysis: Analysis;
  readonly log: readonly LogLine[];
  readonly printValue: (value: number) => string;
}

/** The tables behind the verdict: every pot, the analysis of variance, every pair. */
export function Tables({ analysis: { judgement, input }, log, printValue }: TablesProps) {
  return (
    <Stack>
      <UnitTable input={input} printValue={printValue} />
      <AnovaTable judgement={judgement} />
      <PairTable judgement={judgement} printGap={value => signedGap(value, input, printValue)} />
      <Fold title="How it was judged">
        <p>
          {input.outcome === 'continuous'
            ? 'A linear model, '
            : `By ${METHOD_WORDS[input.outcome]}: a linear model on that scale, `}
          {input.blockNames.length > 0 ? `${input.blockNames.join(' and ')} first, then ` : ''}
          {input.treatmentName}, over {judgement.design.units} {pluralOf(input.unitWord)}: least
          squares. Against the control: Dunnett. Percentages: Fieller. “No difference that matters”:
          two one-sided tests against the smallest difference worth having. The shuffle test deals
          the labels again as this layout could have dealt them, and asks no bell curve.
        </p>
      </Fold>
      <LogLines log={log} />
    </Stack>
  );
}

interface PairTableProps {
  readonly judgement: Judgement;
  readonly printGap: (value: number) => string;
}

function PairTable({ judgement, printGap }: PairTableProps) {
  return (
    <Fold title="Every pair">
      <WideTable label="Every pair">
        <TableHead of={['Pair', 'gap', '95% interval, all pairs together', 'p']} />
        <tbody>
          {judgement.pairs.map(pair => (
            <tr key={`${pair.a}\n${pair.b}`}>
              <td>
                {pair.a} − {pair.b}
              </td>
              {pair.estimable ? (
                <>
                  <td>{printGap(pair.difference)}</td>
                  <td>
                    {pair.ciAdjusted
                      ? `${printGap(pair.ciAdjusted[0])} to ${printGap(pair.ciAdjusted[1])}`
                      : '—'}
                  </td>
                  <td>{printP(pair.pAdjusted)}</td>
                </>
              ) : (
                <td colSpan={3}>this layout can’t compare them</td>
              )}
            </tr>
          ))}
        </tbody>
      </WideTable>
      <p>
        Tukey-Kramer.
        {judgement.letters &&
          ` Treatments that share a letter can’t be told apart: ${Object.entries(judgement.letters)
            .map(([name, letters]) => `${name} ${letters}`)
            .join(', ')}.`}
      </p>
    </Fold>
  );
}

function AnovaTable({ judgement }: { readonly judgement: Judgement }) {
  return (
    <Fold title="Analysis of variance">
      <WideTable label="Analysis of variance">
        <TableHead of={['Term', 'df', 'sum of squares', 'mean square', 'F', 'p']} />
        <tbody>
          {judgement.anova.map(row => (
            <tr key={row.term}>
              <td>{row.term}</td>
              <td>{row.df}</td>
              <td>{printFigure(row.ss)}</td>
              <td>{row.ms === null ? '—' : printFigure(row.ms)}</td>
              <td>{row.f == null ? '' : printFigure(row.f)}</td>
              <td>{row.p == null ? '' : printP(row.p)}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
      <p>Each term beyond those above it, blocks first.</p>
    </Fold>
  );
}

interface UnitTableProps {
  readonly input: JudgeInput;
  readonly printValue: TablesProps['printValue'];
}

function UnitTable({ input, printValue }: UnitTableProps) {
  return (
    <Fold title={`Every ${input.unitWord}`}>
      <SortedTable
        label={`Every ${input.unitWord}`}
        heads={['Code', ...input.blockNames, 'Treatment', input.response]}
        rows={input.units.map(unit => ({
          id: unit.id,
          cells: [
            ...[unit.id, ...unit.blocks, unit.treatment].map(says => ({ says })),
            { says: unitWords(unit, input, printValue), by: unit.value ?? undefined },
          ],
        }))}
      />
    </Fold>
  );
}

/** What was done to the trial, where no tables stand above it. */
export function TrialLog({ log }: { readonly log: readonly LogLine[] }) {
  return (
    <Stack>
      <LogLines log={log} />
    </Stack>
  );
}

function LogLines({ log }: { readonly log: readonly LogLine[] }) {
  return (
    <Fold title="What was done, and when">
      <ol>
        {logByDay(log).map(line => (
          <li key={line}>{line}</li>
        ))}
      </ol>
    </Fold>
  );
}

/** `2026-11-25: 24 × pick, plan locked`: one line a day, newest first. */
export function logByDay(log: readonly LogLine[]): readonly string[] {
  const days = [...new Set(log.map(line => line.at.slice(0, 10)))];
  return days.map(day => {
    const done = log.filter(line => line.at.slice(0, 10) === day).map(line => line.what);
    const words = [...new Set(done)].map(what => {
      const times = done.filter(each => each === what).length;
      return times === 1 ? what : `${times} × ${what}`;
    });
    return `${day}: ${words.join(', ')}`;
  });
}

const Stack = styled.section`
  border-top: 1px solid var(--rule);
  & [data-fold] { border-bottom: 1px solid var(--rule); padding-block: 6px; }
  & ol { list-style: none; padding: 0; margin: 0 0 12px; }
  & [data-folded] > p { padding: 8px 0 12px; color: var(--ink-soft); }
`;

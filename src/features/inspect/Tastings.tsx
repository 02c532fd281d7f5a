'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TasterCups } from '@/core/stats/categorical/triangle-test';
import { fullDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import type { TastingView } from './inspect-view';

type Door = (input: unknown) => Promise<Result<unknown, TrialTrouble>>;

interface TastingsProps {
  readonly tastings: readonly TastingView[];
  readonly codes: readonly string[];
  readonly isOpen: boolean;
  readonly layCups: Door;
  readonly countCups: Door;
}

/** Can anybody taste it? Three cups each, two of them alike. */
export function Tastings({ tastings, codes, isOpen, layCups, countCups }: TastingsProps) {
  const [form, setForm] = useState({ codeA: codes[0] ?? '', codeB: codes[1] ?? '', tasters: '8' });
  const { trouble, fields, isPending, run } = useTrialAction();
  const lay = (): void => run(() => layCups(form));
  const options = codes.map(code => ({ value: code, label: code }));
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  return (
    <Box aria-label="Tasting">
      <h2>Can anybody taste it?</h2>
      {tastings.length === 0 && (
        <Soft>
          Each taster gets three numbered cups, two with one harvest and one with another, and says
          which is the odd one. Who prepares the cups doesn’t serve them. Wash and wait out what was
          sprayed first.
        </Soft>
      )}
      {tastings.map(tasting => (
        <OneTasting key={tasting.id} tasting={tasting} isOpen={isOpen} countCups={countCups} />
      ))}
      {isOpen && codes.length > 1 && (
        <Fold title="Lay out cups">
          <div data-fields>
            <Select label="From" {...field('codeA')} options={options} />
            <Select label="and from" {...field('codeB')} options={options} />
            <TextField label="Tasters" {...field('tasters')} inputMode="numeric" />
          </div>
          <ActionTrouble trouble={trouble} />
          <Acts>
            <Button onPress={lay} isPending={isPending}>
              Number the cups
            </Button>
          </Acts>
        </Fold>
      )}
    </Box>
  );
}

function OneTasting({
  tasting,
  isOpen,
  countCups,
}: {
  readonly tasting: TastingView;
  readonly isOpen: boolean;
  readonly countCups: Door;
}) {
  const {
    id,
    codes: [a, b],
    heldOn,
    tasters,
    needed,
    cups,
    correct,
  } = tasting;
  const [written, setWritten] = useState('');
  const { trouble, isPending, run } = useTrialAction();
  const count = (): void => run(() => countCups({ tastingId: id, correct: written }));
  return (
    <div>
      <h3>
        {a} and {b}, {fullDay(heldOn)}
      </h3>
      {correct !== null && <p>{resultWords(tasting)}</p>}
      {correct === null && (
        <>
          <Soft>
            {needed === null
              ? `With ${counted(tasters, 'taster')} nothing can be shown.`
              : `Guessing finds one in three. At least ${needed} of ${tasters} must find it before it is more than luck (5%).`}
          </Soft>
          <CupPlan a={a} b={b} cups={cups} />
          {isOpen && (
            <div data-fields>
              <TextField
                label="So many found it"
                name={`found ${a} ${b}`}
                value={written}
                onChange={setWritten}
                trouble={trouble?.kind === 'invalid' ? trouble.fields.correct : undefined}
                inputMode="numeric"
              />
              <Acts>
                <Button onPress={count} isPending={isPending} isDisabled={written === ''}>
                  Put it down for good
                </Button>
              </Acts>
            </div>
          )}
          <ActionTrouble trouble={trouble} />
        </>
      )}
    </div>
  );
}

interface CupPlanProps {
  readonly a: string;
  readonly b: string;
  readonly cups: readonly TasterCups[];
}

/** Who gets which cup, for whoever fills them. */
function CupPlan({ a, b, cups }: CupPlanProps) {
  return (
    <Fold title="The cups, for whoever fills them">
      <WideTable label={`Cups of ${a} and ${b}`}>
        <TableHead of={['taster', 'first', 'second', 'third', 'the odd one']} />
        <tbody>
          {cups.map(each => (
            <tr key={each.taster}>
              <th scope="row">{each.taster}</th>
              {each.cups.map(cup => (
                <td key={cup.code}>
                  {cup.code} <small>{cup.holds === 'A' ? a : b}</small>
                </td>
              ))}
              <td>{each.odd}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
    </Fold>
  );
}

/** What so many right answers say, and what they don't. */
export function resultWords({
  correct,
  tasters,
  needed,
  p,
  share,
}: Pick<TastingView, 'correct' | 'tasters' | 'needed' | 'p' | 'share'>): string {
  const found = `${correct} of ${tasters} found the odd cup`;
  if (needed === null || p === null || correct === null)
    return `${found}. So few can show nothing.`;
  if (correct < needed)
    return `${found}; ${needed} would have been needed. That is what guessing gives ${p > 0.995 ? 'nearly always' : `in ${Math.round(100 * p)} of 100 tastings`}: it does not show that they taste alike, only that nobody could show otherwise.`;
  return `${found}, where guessing finds so many in ${p < 0.005 ? 'less than 1' : Math.round(100 * p)} of 100 tastings: some do taste it, about ${Math.round(100 * (share ?? 0))} in 100. Which they like better is another question.`;
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr); border-top: 1px solid var(--rule); padding-top: 16px;
  & > div { display: grid; gap: 8px; }
  & small { color: var(--ink-soft); }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: end; }
`;

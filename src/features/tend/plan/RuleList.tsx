'use client';

import type { Dispatch, SetStateAction } from 'react';
import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { careDraft } from '@/core/schedule/rules/care-draft';
import { materialWords, whenWords } from '@/core/schedule/rules/care-words';
import type { CarePlan } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { shortDay } from '@/features/frame/days';
import type { TendView } from '@/features/tend/tend-scene';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { CareRuleForm } from './CareRuleForm';

interface RuleListProps {
  readonly view: TendView;
  readonly save: (
    ruleId: string | null,
    input: unknown,
    why: string,
  ) => Promise<Result<unknown, TrialTrouble>>;
  readonly drop: (ruleId: string, why: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** What the plan of care says, rule by rule. */
export function RuleList({ view, save, drop }: RuleListProps) {
  const [open, setOpen] = useState<string | null>(null);
  const [why, setWhy] = useState('');
  const { trouble, isPending, run, clear } = useTrialAction();
  const { care, treatments, shelf, trial } = view;
  const isLocked = trial.state === 'locked';
  const nameOf = (productId: string): string =>
    shelf.find(product => product.id === productId)?.name ?? 'a product that is off the shelf';
  const takeOut = (ruleId: string): void =>
    run(
      () => drop(ruleId, why),
      () => {
        setOpen(null);
        setWhy('');
      },
    );
  return (
    <Rules aria-label="The plan of care">
      <h2>The plan of care</h2>
      {care.rules.length === 0 && (
        <Soft>
          Nothing is planned yet. Put down what each treatment gets, and what all get alike: feeds,
          sprays, water, looks.
        </Soft>
      )}
      <ul>
        {care.rules.map(rule => (
          <RuleLine
            key={rule.id}
            rule={rule}
            care={care}
            treatments={treatments}
            nameOf={nameOf}
            trial={trial}
            setOpen={setOpen}
            open={open}
            clear={clear}
            shelf={shelf}
            isLocked={isLocked}
            save={save}
            why={why}
            setWhy={setWhy}
            trouble={trouble}
            takeOut={takeOut}
            isPending={isPending}
          />
        ))}
      </ul>
      {open === 'new' ? (
        <CareRuleForm
          saved={null}
          shelf={shelf}
          treatments={treatments}
          rules={care.rules}
          isLocked={isLocked}
          save={(input, reason) => save(null, input, reason)}
          close={() => setOpen(null)}
        />
      ) : (
        trial.state !== 'closed' && (
          <Acts>
            <Button onPress={() => setOpen('new')}>Plan something</Button>
          </Acts>
        )
      )}
    </Rules>
  );
}

interface RuleLineProps {
  readonly rule: CareRule;
  readonly care: CarePlan;
  readonly treatments: readonly {
    readonly id: string;
    readonly name: string;
    readonly letter: string;
  }[];
  readonly nameOf: (productId: string) => string;
  readonly trial: TendView['trial'];
  readonly setOpen: Dispatch<SetStateAction<string | null>>;
  readonly open: string | null;
  readonly clear: () => void;
  readonly shelf: TendView['shelf'];
  readonly isLocked: boolean;
  readonly save: RuleListProps['save'];
  readonly why: string;
  readonly setWhy: Dispatch<SetStateAction<string>>;
  readonly trouble: TrialTrouble | undefined;
  readonly takeOut: (ruleId: string) => void;
  readonly isPending: boolean;
}

function RuleLine({
  rule,
  care,
  treatments,
  nameOf,
  trial,
  setOpen,
  open,
  clear,
  shelf,
  isLocked,
  save,
  why,
  setWhy,
  trouble,
  takeOut,
  isPending,
}: RuleLineProps) {
  return (
    <li>
      <div>
        <strong>{rule.name}</strong> <span>{whenWords(rule, care.rules, shortDay)}</span>
        <small>
          {rule.treatmentIds.length === 0
            ? 'to all alike'
            : `to ${namesOf(treatments.filter(treatment => rule.treatmentIds.some(id => id === treatment.id)).map(treatment => treatment.name))}`}
          {rule.material ? `: ${materialWords(rule, nameOf(rule.material.productId))}` : ''}
        </small>
      </div>
      {trial.state !== 'closed' && (
        <Button
          data-tone="quiet"
          aria-label={`Change ${rule.name}`}
          onPress={() => {
            setOpen(open === rule.id ? null : rule.id);
            clear();
          }}
        >
          {open === rule.id ? 'Close' : 'Change'}
        </Button>
      )}
      {open === rule.id && (
        <div data-form>
          <CareRuleForm
            saved={careDraft(rule, shelf)}
            shelf={shelf}
            treatments={treatments}
            rules={care.rules}
            isLocked={isLocked}
            save={(input, reason) => save(rule.id, input, reason)}
            close={() => setOpen(null)}
          />
          {isLocked && (
            <TextField label="Why it is taken out" name="whyOut" value={why} onChange={setWhy} />
          )}
          {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
          <Acts>
            <Button onPress={() => takeOut(rule.id)} isPending={isPending}>
              Take it out of the plan
            </Button>
          </Acts>
        </div>
      )}
    </li>
  );
}

/** Crossed treatments have a comma in their names. */
function namesOf(names: readonly string[]): string {
  return names
    .map(name => (name.includes(',') ? `“${name}”` : name))
    .join(names.length === 2 ? ' and ' : ', ');
}

const Rules = styled.section`
  display: grid; gap: 12px;
  & > ul { list-style: none; margin: 0; padding: 0; }
  & > ul > li { display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 4px 12px; align-items: start; padding: 10px 0; border-bottom: 1px solid var(--rule); }
  & small { display: block; color: var(--ink-soft); font-size: 0.9375rem; }
  & [data-form] { grid-column: 1 / -1; display: grid; gap: 10px; }
`;

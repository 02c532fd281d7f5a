'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Result } from '@/core/result';
import { type CareDraft, careDraft } from '@/core/schedule/rules/care-draft';
import { materialWords, whenWords } from '@/core/schedule/rules/care-words';
import { shortDay } from '@/core/time/days';
import type { CareRule } from '@/core/trial/model/care-rule';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useSystem } from '@/features/frame/use-garden-units';
import type { TendView } from '@/features/tend/tend-scene';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';
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

/** What the care plan says, rule by rule. */
export function RuleList({ view, save, drop }: RuleListProps) {
  const [open, setOpen] = useState<string | null>(null);
  const { care, trial } = view;
  const rules = care.rules.filter(rule => !rule.isUnplanned);
  const close = (): void => setOpen(null);
  return (
    <Rules aria-label="The care plan">
      <h2>The care plan</h2>
      {rules.length === 0 && (
        <Soft>
          Nothing is planned yet. Put down what each treatment gets, and what all get alike: feeds,
          sprays, water, looks.
        </Soft>
      )}
      <ul>
        {rules.map(rule => (
          <RuleLine
            key={rule.id}
            rule={rule}
            view={view}
            isOpen={open === rule.id}
            toggle={() => setOpen(open === rule.id ? null : rule.id)}
            save={save}
            drop={drop}
          />
        ))}
      </ul>
      {open === 'new' && (
        <RuleForm view={view} saved={null} save={(...sent) => save(null, ...sent)} close={close} />
      )}
      {open !== 'new' && trial.state !== 'closed' && (
        <Acts>
          <Button onPress={() => setOpen('new')}>Plan something</Button>
        </Acts>
      )}
    </Rules>
  );
}

interface RuleFormProps {
  readonly view: TendView;
  readonly saved: CareDraft | null;
  readonly save: (input: unknown, why: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly close: () => void;
}

function RuleForm({ view, ...form }: RuleFormProps) {
  const { shelf, treatments, care, trial } = view;
  return (
    <CareRuleForm
      {...form}
      shelf={shelf}
      treatments={treatments}
      rules={care.rules}
      isLocked={trial.state === 'locked'}
    />
  );
}

interface RuleLineProps extends RuleListProps {
  readonly rule: CareRule;
  readonly isOpen: boolean;
  readonly toggle: () => void;
}

function RuleLine({ rule, isOpen, toggle, ...list }: RuleLineProps) {
  const { view } = list;
  const system = useSystem();
  return (
    <li>
      <div>
        <strong>{rule.name}</strong> <span>{whenWords(rule, view.care.rules, shortDay)}</span>
        <small>{whatWords(rule, view, system)}</small>
      </div>
      {view.trial.state !== 'closed' && (
        <Button data-tone="quiet" aria-label={`Change ${rule.name}`} onPress={toggle}>
          {isOpen ? 'Close' : 'Change'}
        </Button>
      )}
      {isOpen && <OpenRule {...list} rule={rule} close={toggle} />}
    </li>
  );
}

interface OpenRuleProps extends RuleListProps {
  readonly rule: CareRule;
  readonly close: () => void;
}

/** A rule to be changed, or taken out. */
function OpenRule({ rule, view, save, drop, close }: OpenRuleProps) {
  const [why, setWhy] = useState('');
  const { trouble, isPending, run } = useTrialAction();
  return (
    <div data-form>
      <RuleForm
        view={view}
        saved={careDraft(rule, view.shelf, useSystem())}
        save={(...sent) => save(rule.id, ...sent)}
        close={close}
      />
      {view.trial.state === 'locked' && (
        <TextField label="Why it is taken out" name="whyOut" value={why} onChange={setWhy} />
      )}
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      <Acts>
        <Button onPress={() => run(() => drop(rule.id, why), close)} isPending={isPending}>
          Take it out of the plan
        </Button>
      </Acts>
    </div>
  );
}

/** Who gets it, and what. */
function whatWords(rule: CareRule, { treatments, shelf }: TendView, system: MeasureSystem): string {
  const given = treatments.filter(treatment => rule.treatmentIds.some(id => id === treatment.id));
  const to =
    given.length === 0 ? 'to all alike' : `to ${namesOf(given.map(treatment => treatment.name))}`;
  if (!rule.material) return to;
  const { productId } = rule.material;
  const product = shelf.find(each => each.id === productId)?.name;
  return `${to}: ${materialWords(rule, product ?? 'a product that is off the shelf', system)}`;
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

'use client';

import dynamic from 'next/dynamic';
import { type ReactNode, useMemo } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { draftTrial } from '@/core/design/layouts/draft-trial';
import { askedReading, readQuestion } from '@/core/design/question/question-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { harvestMeasure } from '@/core/measure/library/harvest-measures';
import { factsFor } from '@/core/trial/horticultural-facts';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { Known } from '@/features/trial/Known';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { resultOf } from '@/ui/actions/use-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { useDraft } from '@/ui/fields/use-draft';
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { QuestionSheet } from './QuestionSheet';
import { readQuestionDraft } from './question-draft';
import { testableQuestion } from './testable-question';

// Both judge made-up seasons: what that takes is fetched while the question can be typed already.
const LiveAudit = dynamic(() => import('@/features/audit/LiveAudit').then(file => file.LiveAudit), {
  ssr: false,
});
const DryRunPanel = dynamic(() => import('./DryRunPanel').then(file => file.DryRunPanel), {
  ssr: false,
});

interface AskFormProps {
  /** Where an unsaved draft is kept. */
  readonly draftKey: string;
  readonly saved: QuestionForm;
  readonly isLocked: boolean;
  /** Where one was dealt already. */
  readonly bench: BenchView | null;
  /** Each unit holds what it was dealt in an earlier trial: saving takes no deal away. */
  readonly keepsDeal?: boolean;
  /** Goes to the next step by itself when it worked. */
  readonly save: (input: unknown) => Promise<TrialTrouble | undefined>;
  /** What stands under the sentence, such as the predictions. */
  readonly children?: ReactNode;
}

/** What is asked, what is compared, what is measured, and what would be worth having. */
export function AskForm({
  draftKey,
  saved,
  isLocked,
  bench,
  keepsDeal = false,
  save,
  children,
}: AskFormProps) {
  const [form, keep, forget] = useDraft(draftKey, saved, readQuestionDraft);
  const { trouble, fields, isPending, run } = useTrialAction();
  const shown = isLocked ? saved : form;
  const press = usePressId();
  const submit = (): void =>
    run(async () => resultOf(await save({ ...form, id: press.current() })), forget);
  return (
    // A dialog's method: before its script is there, Enter must not send what is typed into the address.
    <Enterable
      method="dialog"
      noValidate
      onSubmit={event => {
        event.preventDefault();
        if (!isLocked && !isPending) submit();
      }}
    >
      <TwoParts>
        <QuestionSheet
          form={shown}
          troubles={fields}
          isLocked={isLocked}
          onChange={changes =>
            keep(now => ({ ...now, ...(typeof changes === 'function' ? changes(now) : changes) }))
          }
        />
        <Aside>
          <AsQuestion form={shown} />
          {isLocked ? (
            <Soft>
              The plan is locked: the question, the main measure and the smallest difference worth
              having stand as they are.
            </Soft>
          ) : (
            <Saving
              form={form}
              trouble={trouble}
              isPending={isPending}
              deal={dealWords(bench !== null, keepsDeal, shown.unitWord)}
            />
          )}
          {children}
          {bench && (
            <Bench
              view={bench}
              label="The bench from above"
              lens={unit => ({ state: 'done', share: null, words: unit.tag?.name ?? unit.where })}
            />
          )}
        </Aside>
      </TwoParts>
    </Enterable>
  );
}

function AsQuestion({ form }: { readonly form: QuestionForm }) {
  return (
    <>
      <h2>Your question, made testable</h2>
      <Answerable>{testableQuestion(form)}</Answerable>
      <Soft>
        {form.summary === 'read'
          ? askedReading(form)?.definition
          : harvestMeasure(form.summary).definition.replace(/\bunit\b/g, form.unitWord || 'pot')}
      </Soft>
    </>
  );
}

interface SavingProps {
  readonly form: QuestionForm;
  readonly trouble: TrialTrouble | undefined;
  readonly isPending: boolean;
  /** What becomes of the deal; null where there is none. */
  readonly deal: string | null;
}

/** What is to be known before it is saved, and the one strong button. */
function Saving({ form, trouble, isPending, deal }: SavingProps) {
  const draft = useMemo(() => {
    const question = readQuestion(form, 'uk', () => v7());
    return question.ok ? draftTrial(question.value) : null;
  }, [form]);
  return (
    <>
      <Soft>
        The main measure and the smallest difference worth having are locked before the first
        reading. What turns up beside them later is marked as found along the way.
      </Soft>
      {deal && <Soft>{deal}</Soft>}
      {trouble && (
        <Trouble>
          {trouble.kind === 'invalid'
            ? 'Not saved yet: look at the marked lines. What you wrote is still there.'
            : trialSentence(trouble)}
        </Trouble>
      )}
      <Acts>
        <Button data-tone="main" type="submit" isPending={isPending}>
          Save and lay it out
        </Button>
      </Acts>
      <DryRunPanel form={form} />
      <Known facts={factsFor([], factWords(form))} />
      <LiveAudit draft={draft} cv={STARTING_GUESS_CV.cv} />
    </>
  );
}

function dealWords(isDealt: boolean, keepsDeal: boolean, unitWord: string): string | null {
  if (keepsDeal)
    return `Each ${unitWord || 'pot'} holds what it was dealt: the treatments and the deal stay as they are.`;
  return isDealt ? 'Saving a changed question takes the deal away: the pots are dealt anew.' : null;
}

function factWords({ question, crop, treatments }: QuestionForm): string {
  return [question, crop, ...treatments.map(treatment => treatment.name)].join(' ');
}

/** Enter in a line saves, as in any form. */
const Enterable = styled.form`
  display: contents;
`;

/** Stays in sight while the form is long: its sentence grows with what is written. */
const Aside = styled.div`
  position: sticky; top: 16px;
  @media (max-width: 900px) { position: static; }
`;

const Answerable = styled.p`
  font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 600; line-height: 1.25; padding-left: 14px; border-left: 3px solid var(--clay);
`;

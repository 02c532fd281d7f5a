'use client';

import { type ReactNode, useEffect, useMemo, useRef } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { AUDIT_CHECKS } from '@/core/design/audit/fairness-audit';
import { draftTrial } from '@/core/design/layouts/draft-trial';
import { type QuestionForm, readQuestion } from '@/core/design/question/question-form';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { HARVEST_MEASURES, harvestMeasure } from '@/core/measure/library/harvest-measures';
import { readingKind } from '@/core/measure/library/reading-library';
import { factsFor } from '@/core/trial/horticultural-facts';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { LiveAudit } from '@/features/audit/LiveAudit';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { Known } from '@/features/trial/Known';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Acts, Soft, TwoParts } from '@/ui/Page';
import { TextField } from '@/ui/TextField';
import { Trouble } from '@/ui/Trouble';
import { resultOf } from '@/ui/use-action';
import { useDraft } from '@/ui/use-draft';
import { ControlAdvice } from './ControlAdvice';
import { CrossedFactors } from './CrossedFactors';
import { DoseSeries } from './DoseSeries';
import { DryRunPanel } from './DryRunPanel';
import { MainReading } from './MainReading';
import { MarginFields } from './MarginFields';
import { isQuestionDraft } from './question-draft';
import { Rules } from './Rules';
import { TreatmentList } from './TreatmentList';
import { testableQuestion, treatmentNames } from './testable-question';

interface AskFormProps {
  /** Where an unsaved draft is kept. */
  readonly draftKey: string;
  readonly saved: QuestionForm;
  readonly isLocked: boolean;
  /** Where one was dealt already. */
  readonly bench: BenchView | null;
  /** Goes to the next step by itself when it worked. */
  readonly save: (input: unknown) => Promise<TrialTrouble | undefined>;
  /** What stands under the sentence, such as the predictions. */
  readonly children?: ReactNode;
}

const OFFERED = ['sound-weight', 'sound-count', 'mean-piece-weight', 'total-weight'] as const;
const READ = {
  value: 'read',
  label: 'Something read off the plants',
  hint: 'What is counted, measured or scored on a walk round: pests found, leaves with holes, height, days to the first flower.',
} as const;

/** What is asked, what is compared, what is measured, and what would be worth having. */
export function AskForm({ draftKey, saved, isLocked, bench, save, children }: AskFormProps) {
  const [form, keep, forget] = useDraft(draftKey, saved, isQuestionDraft);
  const { trouble, fields, isPending, run } = useTrialAction();
  const box = useRef<HTMLDivElement>(null);
  const set =
    <Key extends keyof QuestionForm>(key: Key) =>
    (value: QuestionForm[Key]): void =>
      keep({ ...form, [key]: value });
  const shown = isLocked ? saved : form;
  const hint = (words: string): string | undefined => (isLocked ? undefined : words);
  useEffect(() => {
    if (trouble)
      box.current
        ?.querySelector<HTMLElement>(
          '[data-invalid] input, [data-invalid] textarea, [data-invalid] select',
        )
        ?.focus();
  }, [trouble]);
  const draft = useMemo(() => {
    const question = isLocked ? undefined : readQuestion(form, 'uk', () => v7());
    return question?.ok ? draftTrial(question.value) : null;
  }, [form, isLocked]);
  const submit = (): void => run(async () => resultOf(await save(form)), forget);
  return (
    <TwoParts ref={box}>
      <Sheet>
        <TextField
          label="The question"
          name="question"
          value={shown.question}
          onChange={set('question')}
          trouble={fields.question}
          isReadOnly={isLocked}
          placeholder="Does a liquid feed bring more beans?"
          hint={hint('One question. Two in one can’t both be answered by the same pots.')}
        />
        <div data-pair>
          <TextField
            label="What grows"
            name="crop"
            value={shown.crop}
            onChange={set('crop')}
            trouble={fields.crop}
            isReadOnly={isLocked}
            placeholder="dwarf beans"
          />
          <TextField
            label="What is picked"
            name="picked"
            value={shown.picked}
            onChange={set('picked')}
            trouble={fields.picked}
            isReadOnly={isLocked}
            placeholder="beans"
            hint={hint('As in “more beans”.')}
          />
        </div>
        <Choice
          label="What is compared"
          name="made"
          value={shown.made}
          onChange={set('made')}
          isReadOnly={isLocked}
          direction="row"
          options={[
            { value: 'listed', label: 'named one by one' },
            { value: 'crossed', label: 'two things crossed' },
            { value: 'series', label: 'rising doses' },
          ]}
        />
        {shown.made === 'listed' && (
          <TreatmentList
            treatments={shown.treatments}
            control={shown.control}
            troubles={fields}
            isLocked={isLocked}
            onChange={(treatments, control) =>
              keep({ ...form, treatments: [...treatments], control })
            }
          />
        )}
        {shown.made === 'crossed' && (
          <CrossedFactors
            factors={shown.factors}
            emptyCells={shown.emptyCells}
            troubles={fields}
            isLocked={isLocked}
            onChange={(factors, emptyCells) => keep({ ...form, factors, emptyCells })}
          />
        )}
        {shown.made === 'series' && (
          <DoseSeries
            series={shown.series}
            troubles={fields}
            isLocked={isLocked}
            onChange={set('series')}
          />
        )}
        {!isLocked && <ControlAdvice form={shown} />}
        <Choice
          label="Main measure"
          name="summary"
          value={shown.summary}
          onChange={set('summary')}
          isReadOnly={isLocked}
          trouble={fields.summary}
          options={[
            ...HARVEST_MEASURES.flatMap(kind => {
              const value = OFFERED.find(offered => offered === kind.summary);
              return value ? [{ value, label: kind.name, hint: kind.definition }] : [];
            }),
            READ,
          ]}
        />
        {shown.summary === 'read' && (
          <MainReading
            form={shown}
            trouble={fields.mainKey}
            isLocked={isLocked}
            onChange={changes => keep({ ...form, ...changes })}
          />
        )}
        <div data-pair>
          <Choice
            label="Better is"
            name="better"
            value={shown.better}
            onChange={set('better')}
            isReadOnly={isLocked}
            direction="row"
            options={[
              { value: 'higher', label: 'more' },
              { value: 'lower', label: 'less' },
            ]}
          />
          <MarginFields
            form={shown}
            troubles={fields}
            isLocked={isLocked}
            onChange={changes => keep({ ...form, ...changes })}
          />
        </div>
        <div data-three>
          <TextField
            label="Each treatment goes to a"
            name="unitWord"
            value={shown.unitWord}
            onChange={set('unitWord')}
            trouble={fields.unitWord}
            isReadOnly={isLocked}
            hint={hint('pot, trough, bed: what gets it apart from the others.')}
          />
          <TextField
            label="From"
            name="startsOn"
            type="date"
            value={shown.startsOn}
            onChange={set('startsOn')}
            trouble={fields.startsOn}
            isReadOnly={isLocked}
          />
          <TextField
            label="To"
            name="endsOn"
            type="date"
            value={shown.endsOn}
            onChange={set('endsOn')}
            trouble={fields.endsOn}
            isReadOnly={isLocked}
          />
        </div>
        <Rules
          form={shown}
          treatments={treatmentNames(shown)}
          troubles={fields}
          isLocked={isLocked}
          onChange={changes => keep({ ...form, ...changes })}
        />
      </Sheet>
      <Beside>
        <h2>As a question that pots can answer</h2>
        <Answerable>{testableQuestion(shown)}</Answerable>
        <Soft>
          {shown.summary === 'read'
            ? readingKind(shown.mainKey)?.definition
            : harvestMeasure(shown.summary).definition}
        </Soft>
        {isLocked ? (
          <Soft>
            The plan is locked: the question, the main measure and the margin stand as they are.
          </Soft>
        ) : (
          <>
            <Soft>
              The main measure and the margin are locked before the first reading. What turns up
              beside them later is marked as found along the way.
            </Soft>
            {bench && (
              <Soft>Saving a changed question takes the deal away: the pots are dealt anew.</Soft>
            )}
            {trouble && (
              <Trouble>
                {trouble.kind === 'invalid'
                  ? 'Not saved yet: look at the marked lines. What you wrote is still there.'
                  : trialSentence(trouble)}
              </Trouble>
            )}
            <DryRunPanel form={form} />
            <Known
              lore={factsFor(
                [],
                [
                  shown.question,
                  shown.crop,
                  ...shown.treatments.map(treatment => treatment.name),
                ].join(' '),
              )}
            />
            <LiveAudit
              draft={draft}
              cv={STARTING_GUESS_CV.cv}
              checks={Object.keys(AUDIT_CHECKS).length}
            />
            <Acts>
              <Button data-tone="main" onPress={submit} isPending={isPending}>
                Save and lay it out
              </Button>
            </Acts>
          </>
        )}
        {children}
        {bench && (
          <Bench
            view={bench}
            label="The bench from above"
            lens={unit => ({ state: 'done', share: null, words: unit.tag?.name ?? unit.where })}
          />
        )}
      </Beside>
    </TwoParts>
  );
}

const Sheet = styled.div`
  && { gap: 20px; }
  & [data-pair] { display: grid; grid-template-columns: 1fr 1fr; gap: 24px; align-items: start; }
  & [data-three] { display: grid; grid-template-columns: 1.4fr 1fr 1fr; gap: 24px; align-items: start; }
  @media (max-width: 640px) { & [data-pair], & [data-three] { grid-template-columns: minmax(0, 1fr); gap: 16px; } }
`;

/** Stays in sight while the form is long: its sentence grows with what is written. */
const Beside = styled.div`
  position: sticky; top: 16px;
  @media (max-width: 900px) { position: static; }
`;

const Answerable = styled.p`
  font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 600; line-height: 1.25; padding-left: 14px; border-left: 3px solid var(--clay);
`;

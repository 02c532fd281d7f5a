'use client';

import { styled } from 'styled-components';
import type { SeenLayout } from '@/core/blinding/seen-layout';
import { type BenchDraft, type BenchRequest, unitCount } from '@/core/design/layouts/bench-form';
import type { Result } from '@/core/result';
import type { Treatment } from '@/core/trial/model/treatment';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import type { TagView } from '@/features/bench/bench-view';
import { AskFirst } from '@/ui/AskFirst';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { useGoOn } from '@/ui/use-go-on';
import { LayoutFields } from './LayoutFields';
import { LayoutTable } from './LayoutTable';

interface DealFormProps {
  readonly form: BenchDraft;
  readonly fields: Readonly<Record<string, string>>;
  readonly tags: readonly TagView[];
  readonly treatments: readonly Treatment[];
  readonly unitWord: string;
  readonly request: Result<BenchRequest, Readonly<Record<string, string>>>;
  readonly change: (changes: Partial<BenchDraft>) => void;
  readonly trouble: TrialTrouble | undefined;
  readonly layout: SeenLayout | null;
  readonly act: (work: () => Promise<Result<unknown, TrialTrouble>>) => void;
  readonly takeLayout: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly deal: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly isPending: boolean;
  readonly lock: () => Promise<Result<unknown, TrialTrouble>>;
}

/** How it is to be dealt, and what so many can show. */
export function DealForm(props: DealFormProps) {
  const { trouble, layout } = props;
  return (
    <>
      {layout ? (
        <Dealt {...props} />
      ) : (
        <>
          <h2>How it is laid out</h2>
          <DealFields {...props} />
          <DealTrouble trouble={trouble} />
          <DealActs {...props} />
          <Bringing {...props} />
        </>
      )}
    </>
  );
}

/** It stands on the bench: the lock is the next thing, and all of it can still be changed. */
function Dealt(props: DealFormProps) {
  return (
    <>
      <h2 data-goes-on>Does it stand as it should?</h2>
      <Soft>
        Lock it before the first reading: the question, the smallest difference worth having and the
        deal stand from then on.
      </Soft>
      <DealTrouble trouble={props.trouble} />
      <DealActs {...props} />
      {props.layout?.keptFrom ? (
        <Soft>
          Each {props.unitWord} holds what it was dealt in an earlier trial. That deal stays: what
          is asked lies in the ground.
        </Soft>
      ) : (
        <>
          <Change title="Change how it is laid out" isRuled>
            <DealFields {...props} />
          </Change>
          <Bringing {...props} />
        </>
      )}
    </>
  );
}

function Bringing({ unitWord, form, fields, isPending, act, takeLayout }: DealFormProps) {
  return (
    <LayoutTable
      unitWord={unitWord}
      form={form}
      trouble={fields.layoutTable}
      isPending={isPending}
      act={act}
      take={takeLayout}
    />
  );
}

function DealTrouble({ trouble }: Pick<DealFormProps, 'trouble'>) {
  return trouble ? (
    <Trouble>
      {trouble.kind === 'invalid' ? 'Not dealt: look at the marked lines.' : trialSentence(trouble)}
    </Trouble>
  ) : null;
}

function DealFields({ form, fields, tags, treatments, unitWord, request, change }: DealFormProps) {
  return (
    <>
      <LayoutFields
        form={form}
        fields={fields}
        treatments={tags.length}
        factors={Object.keys(treatments[0]?.levels ?? {})}
        unitWord={unitWord}
        places={request.ok ? unitCount(request.value, treatments) : null}
        onChange={change}
      />
      <Choice
        label="Who sees what each got"
        name="isBlind"
        value={form.isBlind ? 'blind' : 'open'}
        onChange={value => change({ isBlind: value === 'blind' })}
        options={WHO_SEES}
      />
    </>
  );
}

const Change = styled(Fold)`
   display: grid; gap: 16px; 
`;

const WHO_SEES = [
  {
    value: 'blind',
    label: 'nobody, until the key is opened',
    hint: 'Weighing goes by codes alone: nobody can be kind to a favourite.',
  },
  { value: 'open', label: 'everyone', hint: 'Where it can’t be hidden anyway.' },
] as const;

function DealActs({ layout, act, deal, form, isPending, lock }: DealFormProps) {
  const goOn = useGoOn();
  return (
    <Acts>
      {!layout?.keptFrom && (
        <Button
          data-tone={layout ? undefined : 'main'}
          onPress={() => {
            goOn();
            act(() => deal(form));
          }}
          isPending={isPending}
        >
          {layout ? 'Deal again' : 'Deal'}
        </Button>
      )}
      {layout && (
        <AskFirst
          label="Lock the plan"
          title="Lock the plan?"
          does="Lock it"
          tone="main"
          isPending={isPending}
          act={() => act(lock)}
        >
          <p>
            The question, what is measured, the smallest difference worth having and the deal stand
            from then on. What is changed later goes on record with its reason, and the verdict says
            so.
          </p>
          <p>Then the care can be planned and the labels put out.</p>
        </AskFirst>
      )}
    </Acts>
  );
}

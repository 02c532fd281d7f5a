'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import type { LookedKind } from '@/core/judge/verdict/planned-verdict';
import { VerdictNotes } from '@/features/judge/answer/VerdictNotes';
import { Guesses } from '@/features/judge/closing/OpenedPredictions';
import { RestOnItsWay } from '@/features/judge/details/DetailsLoading';
import { useRest } from '@/features/judge/details/use-verdict-details';
import type { VerdictOfTrial } from '@/features/judge/JudgeView';
import { KindView } from './OutcomeView';

const kindRest = () => import('./OutcomeDetails').then(module => module.KindRest);
const KindRest = dynamic(kindRest, { ssr: false });

interface KindVerdictProps
  extends VerdictOfTrial,
    Pick<Parameters<typeof KindView>[0], 'efficacy' | 'germination'> {
  readonly first: LookedKind;
}

/** The verdict where the main measure is one of counts, shares, steps or days; what stands under it follows. */
export function KindVerdict({
  trial,
  measure,
  amendments,
  tags,
  frozen,
  interimLooks,
  guesses,
  first,
  efficacy,
  germination,
  ...doors
}: KindVerdictProps) {
  const fetched = useRest(trial.id, measure.id, first);
  useEffect(() => void kindRest(), []); // its code comes while its data are on their way
  const { judgement } = first;
  return (
    <>
      <KindView
        trialId={trial.id}
        measureId={measure.id}
        isChosen={false}
        name={measure.name}
        definition={measure.definition}
        input={first.input}
        judgement={judgement}
        tags={tags}
        efficacy={efficacy}
        germination={germination}
        classes={[]}
        notes={
          <VerdictNotes
            trial={trial}
            amendments={amendments}
            frozen={frozen}
            interimLooks={interimLooks}
            headline={judgement.headline}
          />
        }
      />
      {guesses.predictions.length > 0 && (
        <Guesses
          predictions={guesses.predictions}
          best={judgement.best}
          call={judgement.call}
          records={guesses.records}
        />
      )}
      <RestOnItsWay state={fetched} />
      {fetched.rest && <KindRest {...doors} rest={fetched.rest} looked={first} />}
    </>
  );
}

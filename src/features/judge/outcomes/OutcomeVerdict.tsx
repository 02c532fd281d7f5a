'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import type { OutcomeAnalysis } from '@/core/judge/verdict/planned-verdict';
import { VerdictNotes } from '@/features/judge/answer/VerdictNotes';
import { OpenedPredictions } from '@/features/judge/closing/OpenedPredictions';
import { DetailsLoading } from '@/features/judge/details/DetailsLoading';
import { useVerdictDetails } from '@/features/judge/details/use-verdict-details';
import type { VerdictOfTrial } from '@/features/judge/JudgeView';
import { OutcomeView } from './OutcomeView';

const kindRest = () => import('./OutcomeDetails').then(module => module.OutcomeDetails);
const KindRest = dynamic(kindRest, { ssr: false });

interface OutcomeVerdictProps
  extends VerdictOfTrial,
    Pick<Parameters<typeof OutcomeView>[0], 'efficacy' | 'germination'> {
  readonly first: OutcomeAnalysis;
}

/** The verdict where the main measure is one of counts, shares, steps or days; what stands under it follows. */
export function OutcomeVerdict({
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
}: OutcomeVerdictProps) {
  const fetched = useVerdictDetails(trial.id, measure.id, first);
  useEffect(() => void kindRest(), []); // its code comes while its data are on their way
  const { judgement } = first;
  return (
    <>
      <OutcomeView
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
        <OpenedPredictions
          predictions={guesses.predictions}
          best={judgement.best}
          call={judgement.call}
          records={guesses.records}
        />
      )}
      <DetailsLoading state={fetched} />
      {fetched.rest && <KindRest {...doors} rest={fetched.rest} analysis={first} />}
    </>
  );
}

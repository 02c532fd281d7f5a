import type { Metadata } from 'next';
import Link from 'next/link';
import { z } from 'zod';
import { trialEfficacy } from '@/core/judge/after/trial-efficacy';
import { trialGermination } from '@/core/judge/after/trial-germination';
import { judgeOutcome } from '@/core/judge/outcomes/outcome-judge';
import { outcomeInputOf, outcomeOf } from '@/core/judge/question/trial-outcome';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { analyseOutcome } from '@/core/judge/verdict/planned-verdict';
import { isGainOrLoss } from '@/core/measure/library/reading-library';
import { INTERIM_LOOK } from '@/core/trial/interim-look';
import { benchViewOf, tagsOf } from '@/features/bench/bench-view';
import { KeyClosed } from '@/features/judge/closing/KeyClosed';
import { JudgeView } from '@/features/judge/JudgeView';
import { OutcomeVerdict } from '@/features/judge/outcomes/OutcomeVerdict';
import { OutcomeView } from '@/features/judge/outcomes/OutcomeView';
import { TrialFrame } from '@/features/trial/TrialFrame';
import { currentGarden } from '@/service/garden/garden';
import { frozenVerdictOf, noteInterimLook } from '@/service/judge/close-trial';
import { analysisSpecOf, verdictUnder } from '@/service/judge/verdict';
import { openedPredictions } from '@/service/trial/opened-predictions';
import { findTrialFor, trialLog } from '@/service/trial/trials';
import {
  closeTrialAction,
  leaveOutAction,
  openKeyAction,
  putBackInAction,
  regretAction,
} from '../actions';
import { loadTrial, type TrialPageProps } from '../load-trial';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Judge' };

interface JudgePageProps extends TrialPageProps {
  readonly searchParams: Promise<{
    readonly measure?: string | readonly string[];
    readonly by?: string | readonly string[];
    readonly class?: string | readonly string[];
  }>;
}

export default async function JudgePage(props: JudgePageProps) {
  const request = await props.searchParams;
  const asked = z.uuid().safeParse(request.measure);
  const by = z.enum(['means', 'ranks']).safeParse(request.by).data;
  const countedClass = z.coerce
    .number()
    .int()
    .min(0)
    .max(100)
    .optional()
    .safeParse(request.class).data;
  const { data, frame, isOpen } = await loadTrial(props, id => findTrialFor(id, asked.data));
  const { id, state, unitWord } = data.trial;
  const bench = benchViewOf(data, isOpen);
  return (
    <TrialFrame frame={frame} step="judge">
      {state === 'planned' || !bench ? (
        <NothingYet id={id} />
      ) : isOpen ? (
        await verdict()
      ) : (
        <KeyClosed bench={bench} unitWord={unitWord} open={openKeyAction.bind(null, id)} />
      )}
    </TrialFrame>
  );

  async function verdict() {
    const measure =
      data.measures.find(each => asked.success && each.id === asked.data) ?? mainMeasure(data);
    if (state === 'locked' && (data.picks.length > 0 || data.readings.length > 0))
      await noteInterimLook(id);
    const spec = await analysisSpecOf(data, measure.id);
    const tags = tagsOf(data);
    const ownWay = {
      efficacy: trialEfficacy(data, measure) ?? null,
      germination: trialGermination(data, measure) ?? null,
    };
    const isMainByKind = measure.isMain && by === undefined && outcomeOf(measure.scale) !== null;
    const isBesideByKind =
      !isMainByKind && asked.success && (by !== 'means' || measure.scale?.kind === 'class');
    const kind = isBesideByKind
      ? outcomeInputOf(
          data,
          measure,
          { ...spec, margin: null },
          { isByRanks: by === 'ranks', countedClass },
        )
      : undefined;
    if (kind)
      return (
        <OutcomeView
          trialId={id}
          measureId={measure.id}
          isChosen={by === 'ranks'}
          name={measure.name}
          definition={measure.definition}
          input={kind}
          judgement={judgeOutcome(kind)}
          tags={tags}
          {...ownWay}
          classes={measure.scale?.kind === 'class' ? measure.scale.classes : []}
        />
      );
    const [garden, frozen, log] = [
      await currentGarden(),
      await frozenVerdictOf(id),
      await trialLog(id),
    ];
    const ofTrial = {
      trial: data.trial,
      measure,
      amendments: data.amendments,
      tags,
      guesses: await openedPredictions(data),
      frozen: frozen ? { closedAt: frozen.closedAt, headline: frozen.verdict.headline } : null,
      interimLooks: new Set(
        log.filter(each => each.what === INTERIM_LOOK).map(each => each.at.slice(0, 10)),
      ).size,
      close: closeTrialAction.bind(null, id),
      regret: regretAction.bind(null, id),
      leaveOut: leaveOutAction.bind(null, id),
      putBackIn: putBackInAction.bind(null, id),
    };
    const mainByKind = isMainByKind ? analyseOutcome(data, spec) : undefined;
    if (mainByKind)
      return <OutcomeVerdict key={measure.id} {...ofTrial} first={mainByKind} {...ownWay} />;
    return (
      <JudgeView
        key={measure.id}
        {...ofTrial}
        first={verdictUnder(data, spec)}
        system={garden.system}
        isByMeans={by === 'means' && asked.success && outcomeOf(measure.scale) !== null}
        noGain={data.measures.filter(each => !isGainOrLoss(each)).map(each => each.id)}
        byMeans={data.measures.filter(each => outcomeOf(each.scale) === null).map(each => each.id)}
      />
    );
  }
}

function NothingYet({ id }: { readonly id: string }) {
  return (
    <div>
      <h2>Nothing to judge yet</h2>
      <p>
        First the plan is locked and something is weighed.{' '}
        <Link href={`/trials/${id}/lay-out`}>Lay out and lock.</Link>
      </p>
    </div>
  );
}

import type { JudgeInput, Outcome } from '@/core/judge/question/judge-input';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { Measure } from '@/core/trial/model/measure';
import { pluralOf } from '@/core/words/plural';
import { Link } from '@/ui/Link';

/** Why a measure is judged as it is, where its mean would not do. */
const WHY: Readonly<Record<Outcome, string>> = {
  continuous: '',
  count: 'Counts spread more the more there are of them: they are judged by ratios.',
  proportion:
    'So many of so many: judged as shares. What was dealt is the pot or bed, not the single item.',
  ordinal: 'Steps can be put in order, not added up: they are judged by ranks.',
  time: 'Days until it came, with those still waiting counted as long as they were looked at. The range is of days on average; the shuffles ask who came first, which can be plain where the days are not.',
};

interface MeasureNoteProps {
  readonly trialId: string;
  readonly measure: Measure;
  readonly input: JudgeInput;
  readonly spec: AnalysisSpec;
}

/** Which measure it is, how it is judged and why. */
export function MeasureNote({ trialId, measure, input, spec }: MeasureNoteProps) {
  const page = `/trials/${trialId}/judge`;
  const isClass = measure.scale?.kind === 'class';
  const why = isClass
    ? `Classes have no order: one of them is counted, and ${pluralOf(input.unitWord)} that show it are held against those that don’t. Each class that is tried is another chance to be lucky.`
    : spec.by === undefined
      ? WHY[input.outcome]
      : '';
  return (
    <>
      {!measure.isMain && (
        <p data-soft>
          {measure.name}, found along the way · <Link href={page}>back to the main measure</Link>
        </p>
      )}
      {spec.by !== undefined && !isClass && (
        <p data-differs>
          {spec.by === 'ranks'
            ? 'By ranks, because you chose so; planned was the mean. Two ways to judge are two chances to be lucky.'
            : 'By its mean, because you chose so: the method of its kind is another.'}
        </p>
      )}
      {why !== '' && <p data-soft>{why}</p>}
      {input.hasNoGoodDirection && (
        <p data-soft>Of {measure.response} neither way is a gain by itself.</p>
      )}
    </>
  );
}

/** The way to the other method: a mean instead of ranks, ranks instead of a mean. Classes have none. */
export function OtherWay({ trialId, measure, input, spec }: MeasureNoteProps) {
  if (measure.scale?.kind === 'class') return null;
  return (
    <p>
      <Link href={`/trials/${trialId}/judge?measure=${measure.id}${otherWay(input, spec)}`}>
        {otherWayWords(input, spec)}
      </Link>
    </p>
  );
}

function otherWay({ outcome }: JudgeInput, { by }: AnalysisSpec): string {
  if (by !== undefined) return '';
  return outcome === 'continuous' ? '&by=ranks' : '&by=means';
}

function otherWayWords({ outcome }: JudgeInput, { by }: AnalysisSpec): string {
  if (by === 'ranks') return 'By its mean, as planned';
  if (by === 'means') return 'Judge it by the method of its kind';
  return outcome === 'continuous' ? 'Judge it by ranks instead' : 'Judge it by means instead';
}

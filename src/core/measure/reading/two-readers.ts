import { rankCorrelation } from '@/core/stats/categorical/rank-correlation';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';
import { readerError } from './reader-error';

/** One thing that was read a second time, on the same day. */
export interface ReadTwice {
  readonly first: Reading & { readonly value: number };
  readonly second: Reading & { readonly value: number };
}

/** All that was read twice of one measure. */
export function readTwice(
  { id }: Pick<Measure, 'id'>,
  readings: readonly Reading[],
): readonly ReadTwice[] {
  const own = readings.filter(reading => reading.measureId === id).filter(hasValue);
  const placeOf = ({ unitId, subsample, takenOn }: Reading): string =>
    `${unitId} ${subsample} ${takenOn}`;
  const firsts = new Map(own.filter(each => !each.isRepeat).map(each => [placeOf(each), each]));
  return own
    .filter(each => each.isRepeat)
    .flatMap(second => {
      const first = firsts.get(placeOf(second));
      return first ? [{ first, second }] : [];
    });
}

const hasValue = (reading: Reading): reading is Reading & { readonly value: number } =>
  reading.value !== null;

/** Whether somebody else read it the second time; where nobody was named it is taken for the same. */
function isByTwo({ first, second }: ReadTwice): boolean {
  return first.by !== '' && second.by !== '' && first.by !== second.by;
}

/** How far two people agree on the same pots. */
export interface TwoReaders {
  readonly names: readonly [string, string];
  readonly pairs: number;
  readonly alike: number;
  /** What the one whose name comes second says more, on average, in the measure's unit. */
  readonly meanDifference: number;
  /** Whether they put the pots in the same order, −1 to 1; undefined of fewer than five, or where one saw no difference. */
  readonly rankCorrelation: number | undefined;
}

const ENOUGH_TO_ORDER = 5;

export function twoReaders(pairs: readonly ReadTwice[]): readonly TwoReaders[] {
  const byNames = new Map<string, (readonly [number, number])[]>();
  for (const pair of pairs.filter(isByTwo)) {
    const [one, other] = [pair.first, pair.second].sort((a, b) => (a.by < b.by ? -1 : 1));
    if (!one || !other) continue;
    const key = JSON.stringify([one.by, other.by]);
    byNames.set(key, [...(byNames.get(key) ?? []), [one.value, other.value]]);
  }
  return [...byNames].map(([key, values]) => {
    const [a = '', b = '']: readonly string[] = JSON.parse(key);
    return {
      names: [a, b] as const,
      pairs: values.length,
      alike: values.filter(([one, other]) => one === other).length,
      meanDifference:
        values.reduce((sum, [one, other]) => sum + other - one, 0) / Math.max(1, values.length),
      rankCorrelation: values.length < ENOUGH_TO_ORDER ? undefined : rankCorrelation(values),
    };
  });
}

/** How sure the readings are, of every measure that was read twice: each reader against himself, and two against each other. */
export function readersWords({
  measures,
  readings,
}: Pick<TrialData, 'measures' | 'readings'>): readonly string[] {
  const read = measures
    .filter(measure => measure.scale !== null)
    .map(measure => ({ measure, pairs: readTwice(measure, readings) }));
  const own = read.flatMap(({ measure, pairs }) => {
    const error = readerError(
      pairs.filter(pair => !isByTwo(pair)).map(({ first, second }) => [first.value, second.value]),
    );
    return error
      ? [
          `${measure.name}: ${counted(error.pairs, 'value')} read twice differ by ±${shortly(error.sd, measure)}`,
        ]
      : [];
  });
  return [
    ...(own.length === 0 ? [] : [`The reader’s own error: ${own.join('; ')}.`]),
    ...read.flatMap(({ measure, pairs }) =>
      twoReaders(pairs).map(two => twoReadersWords(two, measure)),
    ),
  ];
}

function twoReadersWords(
  { names: [one, other], pairs, alike, meanDifference, rankCorrelation: rho }: TwoReaders,
  measure: Measure,
): string {
  const [higher, lower] = meanDifference > 0 ? [other, one] : [one, other];
  const apart =
    meanDifference === 0
      ? 'on average neither reads more'
      : `${higher} reads ${shortly(Math.abs(meanDifference), measure)} more than ${lower} on average`;
  const order =
    rho === undefined ? '' : ` ${orderWords(rho)} (rank correlation ${rho.toFixed(2)}).`;
  return `${measure.name}, by ${one} and ${other}: ${alike} of ${counted(pairs, 'value')} alike, and ${apart}.${order}`;
}

/** The bounds are common practice, no source. */
function orderWords(rho: number): string {
  if (rho >= 0.9) return 'They put them in nearly the same order';
  if (rho >= 0.6) return 'They put them in much the same order';
  return 'They do not put them in the same order: let one person read all';
}

function shortly(value: number, { unit }: Measure): string {
  return `${Number(value.toPrecision(2))}${unit === '' || unit === 'count' ? '' : ` ${unit}`}`;
}

import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';
import { BLANK_TRIAL, NOTHING_ENTERED } from './model/blank-facts';
import { NO_CARE } from './model/care-plan';
import { BlockId, MeasureId, PlaceId, TreatmentId, TrialId, UnitId } from './model/ids';
import type { Treatment } from './model/treatment';
import type { TrialRules } from './model/trial';
import type { TrialData } from './model/trial-data';

const LONGEST_QUESTION = 300;
/** Whole weeks: what is done on Mondays stays on Mondays. */
const YEAR_DAYS = 364;

/**
 * What a closed trial's treatments leave in the ground, as a trial of its own: every unit holds what it was dealt, nothing is given
 * again, and the next crop is read. The deal is that of the first season, which nobody chose then either; it is never dealt anew.
 *
 * @param newId makes UUIDv7s
 * @param today the next season begins on or after it
 */
export function residualTrial(
  data: TrialData,
  newId: () => string,
  today: CalendarDay,
): TrialData | undefined {
  const { trial, layout } = data;
  if (trial.state !== 'closed' || !layout) return undefined;
  const later = YEAR_DAYS * Math.max(1, Math.ceil(daysBetween(trial.startsOn, today) / YEAR_DAYS));
  const nameOf = nameAfter(data);
  return {
    format: data.format,
    version: data.version,
    trial: {
      ...trial,
      ...BLANK_TRIAL,
      id: TrialId.parse(newId()),
      question: `What is left in the ground after “${trial.question}”`.slice(0, LONGEST_QUESTION),
      state: 'planned',
      isBlind: false, // what each got was told when the first season closed
      startsOn: addDays(trial.startsOn, later),
      endsOn: addDays(trial.endsOn, later),
      lockedAt: null,
      closedAt: null,
      keyOpenedAt: null,
      pattern: trial.pattern,
      interest: trial.interest,
      rules: rulesAfter(trial.rules, nameOf),
    },
    factors: data.factors.map(factor => ({ ...factor, levels: factor.levels.map(nameOf) })),
    ...sameGround(data, newId, nameOf),
    measures: data.measures.map(measure => ({ ...measure, id: MeasureId.parse(newId()) })),
    ...NOTHING_ENTERED,
    care: NO_CARE,
  };
}

/** Of one factor each level by last season's name: it is not given now. Of crossed ones the names are made of their levels, and stay. */
function nameAfter({ factors }: TrialData): (name: string) => string {
  return factors.length === 1 ? name => `last season’s ${name}`.slice(0, 120) : name => name;
}

function rulesAfter(rules: TrialRules, nameOf: (name: string) => string): TrialRules {
  const named = (name: string): string => (name === '' ? '' : nameOf(name));
  return {
    ...BLANK_TRIAL.rules,
    leaveOut: rules.leaveOut,
    ripe: rules.ripe,
    askedOne: named(rules.askedOne),
    askedOther: named(rules.askedOther),
    askedOneWith: rules.askedOneWith.map(nameOf),
    askedOtherWith: rules.askedOtherWith.map(nameOf),
    act: rules.act,
  };
}

/** The same places with the same codes and the same lot, under ids of their own; new plants, of which nothing is known yet. */
function sameGround(
  data: TrialData,
  newId: () => string,
  nameOf: (name: string) => string,
): Pick<TrialData, 'treatments' | 'layout' | 'places' | 'blocks' | 'units'> {
  const treatments = ownIds(data.treatments, () => TreatmentId.parse(newId()));
  const places = ownIds(data.places, () => PlaceId.parse(newId()));
  const blocks = ownIds(data.blocks, () => BlockId.parse(newId()));
  return {
    treatments: data.treatments.map(each => ({
      ...each,
      id: treatments(each.id),
      name: nameOf(each.name),
      levels: levelsAfter(each, nameOf),
      detail: '',
    })),
    layout: data.layout && {
      ...data.layout,
      keptFrom: data.trial.id,
      mostImbalance: null, // of the plants that stood there
      raisedSizes: [],
    },
    places: data.places.map(place => ({
      ...place,
      id: places(place.id),
      parentId: place.parentId && places(place.parentId),
    })),
    blocks: data.blocks.map(block => ({
      ...block,
      id: blocks(block.id),
      placeId: block.placeId && places(block.placeId),
    })),
    units: data.units.map(unit => ({
      ...unit,
      id: UnitId.parse(newId()),
      placeId: places(unit.placeId),
      blockId: unit.blockId && blocks(unit.blockId),
      treatmentId: treatments(unit.treatmentId),
      startSize: null,
      plant: null,
    })),
  };
}

function levelsAfter({ levels }: Treatment, nameOf: (name: string) => string): Treatment['levels'] {
  return Object.fromEntries(
    Object.entries(levels).map(([factor, level]) => [factor, nameOf(level)]),
  );
}

function ownIds<Id extends string>(
  all: readonly { readonly id: Id }[],
  newId: () => Id,
): (id: Id) => Id {
  const ids = new Map(all.map(({ id }) => [id, newId()]));
  return id => ids.get(id) ?? id;
}

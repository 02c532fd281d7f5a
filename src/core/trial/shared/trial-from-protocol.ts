import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';
import { BLANK_TRIAL, NOTHING_DEALT, NOTHING_ENTERED } from '@/core/trial/model/blank-facts';
import type { CareRule } from '@/core/trial/model/care-rule';
import { type GardenId, MeasureId, TreatmentId, TrialId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { Protocol } from './protocol';

/** Whoever joins so late in a season can still begin by the plan’s own days. Common practice, no source. */
const LATEST_DAYS = 60;
/** Whole weeks: what is done on Mondays stays on Mondays. */
const YEAR_DAYS = 364;

/**
 * The trial that another garden’s plan begins here: its question, treatments, measures and care under ids of its own, nothing
 * dealt. The deal, its seed and its codes are this garden’s. A plan of a season that has gone by begins in the next one, with all
 * its days.
 *
 * @param newId makes UUIDv7s
 * @param today undefined: the plan’s own days, whenever they were
 */
export function trialFromProtocol(
  asMade: Protocol,
  gardenId: GardenId,
  newId: () => string,
  today?: CalendarDay,
): TrialData {
  const protocol = today === undefined ? asMade : movedOn(asMade, today);
  const treatmentIds = new Map(
    protocol.treatments.map(({ id }) => [id, TreatmentId.parse(newId())] as const),
  );
  const ownId = (id: TreatmentId): TreatmentId => treatmentIds.get(id) ?? id;
  return {
    format: 'turnspit-trial',
    version: 1,
    trial: {
      ...BLANK_TRIAL,
      ...protocol.trial,
      id: TrialId.parse(newId()),
      gardenId,
      protocolId: protocol.id,
      state: 'planned',
      lockedAt: null,
      closedAt: null,
      keyOpenedAt: null,
    },
    factors: protocol.factors,
    treatments: protocol.treatments.map(treatment => ({ ...treatment, id: ownId(treatment.id) })),
    // Measures that are worked out of others name those by what they are, not by id.
    measures: protocol.measures.map(measure => ({ ...measure, id: MeasureId.parse(newId()) })),
    ...NOTHING_DEALT,
    ...NOTHING_ENTERED,
    care: {
      settings: protocol.care.settings,
      rules: withOwnRules(protocol.care.rules, ownId, newId),
      stages: {},
      acts: [],
      bottles: {},
    },
    products: protocol.products,
  };
}

/** The plan so many whole years later that it can still be begun. */
function movedOn(protocol: Protocol, today: CalendarDay): Protocol {
  const late = daysBetween(protocol.trial.startsOn, today) - LATEST_DAYS;
  if (late <= 0) return protocol;
  const days = YEAR_DAYS * Math.ceil(late / YEAR_DAYS);
  const { startsOn, endsOn, rules } = protocol.trial;
  const moved = <Moment extends CareRule['from'] | CareRule['until']>(moment: Moment): Moment =>
    moment?.kind === 'day' ? { ...moment, day: addDays(moment.day, days) } : moment;
  return {
    ...protocol,
    trial: {
      ...protocol.trial,
      startsOn: addDays(startsOn, days),
      endsOn: addDays(endsOn, days),
      rules: {
        ...rules,
        replaceUntil: rules.replaceUntil === '' ? '' : addDays(rules.replaceUntil, days),
      },
    },
    care: {
      ...protocol.care,
      rules: protocol.care.rules.map(rule => ({
        ...rule,
        from: moved(rule.from),
        until: moved(rule.until),
      })),
    },
  };
}

function withOwnRules(
  rules: readonly CareRule[],
  ownTreatment: (id: TreatmentId) => TreatmentId,
  newId: () => string,
): readonly CareRule[] {
  const ids = new Map(rules.map(({ id }) => [id, newId()]));
  const ownMoment = <Moment extends CareRule['from'] | CareRule['until']>(
    moment: Moment,
  ): Moment =>
    moment?.kind === 'after'
      ? { ...moment, ruleId: ids.get(moment.ruleId) ?? moment.ruleId }
      : moment;
  return rules.map(rule => ({
    ...rule,
    id: ids.get(rule.id) ?? rule.id,
    treatmentIds: rule.treatmentIds.map(ownTreatment),
    from: ownMoment(rule.from),
    until: ownMoment(rule.until),
  }));
}

import { BLANK_TRIAL, NOTHING_DEALT, NOTHING_ENTERED } from '@/core/trial/model/blank-facts';
import type { CareRule } from '@/core/trial/model/care-rule';
import { type GardenId, MeasureId, TreatmentId, TrialId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { Protocol } from './protocol';

/**
 * The trial that another garden’s plan begins here: its question, treatments, measures and care under ids of its own, nothing
 * dealt. The deal, its seed and its codes are this garden’s.
 *
 * @param newId makes UUIDv7s
 */
export function trialFromProtocol(
  protocol: Protocol,
  gardenId: GardenId,
  newId: () => string,
): TrialData {
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

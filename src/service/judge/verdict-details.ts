import type { AuditFinding } from '@/core/design/audit/audit-view';
import { alternativeExplanationsOf } from '@/core/judge/after/alternative-explanations';
import { type PooledTrial, seasonsTogether } from '@/core/judge/after/combine-seasons';
import { expectedAgain } from '@/core/judge/after/expected-again';
import { lessonsOf, spreadWithin } from '@/core/judge/after/lessons';
import { minutesByPerson } from '@/core/judge/after/minutes-by-person';
import { partsAndUnitsOf } from '@/core/judge/after/parts-or-units';
import { scorecardOf } from '@/core/judge/after/scorecard';
import { type TreatmentCost, treatmentCosts } from '@/core/judge/after/treatment-cost';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import { lostChance } from '@/core/judge/planning/standing';
import { positionCheck } from '@/core/judge/sensitivity/position-check';
import { type Analysis, type AnalysisSpec, mainMeasure } from '@/core/judge/units/trial-analysis';
import type { VerdictDetails } from '@/core/judge/verdict/verdict-details';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { yieldBases } from '@/core/measure/unit-value/yield-bases';
import { MASS_STYLE_FOR, type MassStyle } from '@/core/quantity/print-quantity';
import { builtMeans } from '@/core/schedule/tasks/unit-measures';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { database } from '@/store/connection/database';
import { frozenTrials } from '@/store/verdicts';
import { rememberedChance } from './remembered-chance';

export async function verdictDetails(
  data: TrialData,
  spec: AnalysisSpec,
  analysis: Pick<Analysis, 'input' | 'judgement'>,
  findings: readonly AuditFinding[],
): Promise<VerdictDetails> {
  const style = MASS_STYLE_FOR[(await currentGarden()).system];
  const costs = treatmentCosts(data, today());
  const position = positionCheck(data, analysis.input) ?? null;
  return {
    card: scorecardOf(data, spec, measure => valuePrinter(measure, style)),
    costs,
    people: minutesByPerson(data),
    position,
    // Of another measure the plan said nothing.
    lostChance:
      spec.measureId === mainMeasure(data).id
        ? lostChance(data, spec.priorCv.cv, rememberedChance)
        : [],
    bases: basesOf(data, analysis.judgement.groups, costs, style),
    lessons: lessonsOf(data, {
      spread: spreadWithin(analysis),
      split: partsAndUnitsOf(data, measureOf(data, spec), analysis),
      again: expectedAgain(analysis.input, analysis.judgement),
      position,
      today: today(),
    }),
    seasons: seasonsTogether(
      {
        trialId: data.trial.id,
        question: data.trial.question,
        crop: data.trial.crop,
        closedOn: data.trial.endsOn,
        measure: measureOf(data, spec),
        contrasts: analysis.judgement.contrasts,
      },
      await otherSeasons(data.trial.id),
    ),
    explanations: alternativeExplanationsOf(data, { findings, position, today: today() }),
  };
}

function measureOf(data: TrialData, { measureId }: AnalysisSpec): Measure {
  return data.measures.find(each => each.id === measureId) ?? mainMeasure(data);
}

/** All closed trials but this one, with what their verdicts rest on. */
async function otherSeasons(trialId: string): Promise<readonly PooledTrial[]> {
  return (await frozenTrials(database()))
    .filter(trial => trial.trialId !== trialId)
    .flatMap(({ trialId: id, question, crop, closedAt, judgement, ...measure }) => {
      const frozen: Partial<Pick<Judgement, 'contrasts' | 'verdict'>> = JSON.parse(judgement);
      return frozen.contrasts && frozen.verdict
        ? [
            {
              trialId: id,
              question,
              crop,
              closedOn: closedAt.slice(0, 10),
              measure,
              contrasts: frozen.contrasts,
            },
          ]
        : [];
    });
}

/** The main harvest by ground, mix, plants, hours and money: what wins by the pot need not win by the hour. */
function basesOf(
  data: TrialData,
  groups: Analysis['judgement']['groups'],
  costs: readonly TreatmentCost[],
  style: MassStyle,
): VerdictDetails['bases'] {
  if (mainMeasure(data).unit !== 'g') return [];
  const found = groups.map(({ treatment, mean }) => {
    const cost = costs.find(each => each.treatment === treatment);
    const id = data.treatments.find(each => each.name === treatment)?.id;
    const built = builtMeans(data.units.filter(unit => unit.treatmentId === id));
    return {
      treatment,
      cost: cost?.total ?? null,
      bases: yieldBases(
        mean,
        {
          ...built,
          mixMl: built.mixMl ?? data.care.settings.mixMl ?? undefined,
          minutes: cost?.minutes ?? 0,
        },
        style,
      ),
    };
  });
  const rows = [...new Set(found.flatMap(({ bases }) => bases.map(({ by }) => by)))].map(by => ({
    name: `Main harvest, ${by}`,
    cells: found.flatMap(({ treatment, bases }) => {
      const own = bases.find(each => each.by === by);
      return own ? [{ treatment, words: own.figure }] : [];
    }),
  }));
  const money = {
    name: 'Costs, each',
    cells: found.flatMap(({ treatment, cost }) =>
      cost === null ? [] : [{ treatment, words: cost.toFixed(2) }],
    ),
  };
  const isFree = found.every(({ cost }) => cost === null || cost === 0);
  return [...rows, ...(isFree ? [] : [money])].filter(row => row.cells.length > 0);
}

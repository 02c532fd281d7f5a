import { comparedAct } from '@/core/design/question/compared-act';
import { isOfShares } from '@/core/design/question/margin-form';
import type { QuestionPattern } from '@/core/design/question/question-patterns';
import { QuestionForm, USUAL_RULES } from '@/core/design/question/question-shape';
import { BLANK_OWN, OWN_KEY, ownFieldsOf } from '@/core/measure/library/own-fields';
import { printDoseMass } from '@/core/quantity/print-quantity';
import { soldBy } from '@/core/quantity/sold-by';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { addDays, daysBetween } from '@/core/time/garden-day';
import { crossedCells } from '@/core/trial/forms/treatment-form';
import type { TrialData } from '@/core/trial/model/trial-data';

/** An empty question, or one begun from a pattern. */
export function emptyQuestion(today: string, pattern?: QuestionPattern): QuestionForm {
  return {
    question: '',
    crop: '',
    picked: '',
    unitWord: 'pot',
    startsOn: today,
    endsOn: addDays(today, pattern?.days ?? 90),
    made: 'listed',
    treatments: [
      { name: '', detail: '', controlKind: '' },
      { name: '', detail: '', controlKind: '' },
    ],
    control: 0,
    factors: [],
    emptyCells: [],
    series: { name: '', unit: '', doses: '' },
    act: 'method',
    pattern: pattern?.id ?? '',
    summary: 'sound-weight',
    mainKey: '',
    own: BLANK_OWN,
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
    money: { costEach: '', worthPerKg: '', presentKg: '' },
    interest: '',
    rules: USUAL_RULES,
    ...pattern?.form,
  };
}

/** A trial's question as its form would hold it. */
export function questionFormOf(data: TrialData, system: MeasureSystem = 'uk'): QuestionForm {
  const { kg } = soldBy(system);
  const main = data.measures.find(measure => measure.isMain);
  const picked = data.measures.find(measure => measure.summary === 'sound-weight')?.response ?? '';
  const margin = main?.margin ?? null;
  const summary = QuestionForm.shape.summary.safeParse(
    main && main.scale !== null ? 'read' : main?.summary,
  );
  const { trial, treatments } = data;
  return {
    ...emptyQuestion(trial.startsOn),
    ...comparedOf(data),
    question: trial.question,
    crop: trial.crop,
    picked,
    unitWord: trial.unitWord,
    startsOn: trial.startsOn,
    endsOn: trial.endsOn,
    act: comparedAct(trial),
    pattern: trial.pattern ?? '',
    control: Math.max(
      0,
      treatments.findIndex(treatment => treatment.role === 'control'),
    ),
    summary: summary.success ? summary.data : 'sound-weight',
    mainKey: main?.scale == null ? '' : (main.kindKey ?? OWN_KEY),
    own: main && main.scale !== null && main.kindKey === null ? ownFieldsOf(main) : BLANK_OWN,
    better: main?.better ?? 'higher',
    marginKind: margin === null ? 'any' : margin.kind === 'percent' ? 'percent' : 'amount',
    margin:
      margin === null
        ? ''
        : margin.kind === 'percent'
          ? String(margin.percent)
          : main?.unit === 'g'
            ? printDoseMass(margin.amount, system)
            : String(isOfShares(main?.scale ?? null) ? 100 * margin.amount : margin.amount),
    money: trial.money
      ? {
          costEach: String(trial.money.costEach),
          worthPerKg: String(Number((trial.money.worthPerKg * kg).toPrecision(4))),
          presentKg: String(Number((trial.money.presentKg / kg).toPrecision(4))),
        }
      : { costEach: '', worthPerKg: '', presentKg: '' },
    interest: trial.interest,
    rules: { ...trial.rules, act: '' },
  };
}

/** The next trial's question from one that was: the same definitions, margin and rules, from today on for as many days. */
export function nextQuestionOf(
  data: TrialData,
  today: string,
  system: MeasureSystem = 'uk',
): QuestionForm {
  const days = Math.max(1, daysBetween(data.trial.startsOn, data.trial.endsOn));
  const { rules } = data.trial;
  return {
    ...questionFormOf(data, system),
    startsOn: today,
    endsOn: addDays(today, days),
    rules: {
      ...rules,
      replaceUntil:
        rules.replaceUntil === ''
          ? ''
          : addDays(today, Math.max(0, daysBetween(data.trial.startsOn, rules.replaceUntil))),
    },
  };
}

function comparedOf({
  factors,
  treatments,
}: TrialData): Pick<QuestionForm, 'made' | 'treatments' | 'factors' | 'emptyCells' | 'series'> {
  const listed = treatments.map(({ name, detail, controlKind }) => ({
    name,
    detail,
    controlKind: controlKind ?? ('' as const),
  }));
  const none = {
    treatments: listed,
    factors: [],
    emptyCells: [],
    series: { name: '', unit: '', doses: '' },
  };
  if (factors.length > 1) {
    const crossed = factors.map(factor => ({ name: factor.name, levels: [...factor.levels] }));
    const grown = treatments.map(treatment => treatment.name);
    return {
      ...none,
      made: 'crossed',
      factors: crossed,
      emptyCells: crossedCells(crossed)
        .map(cell => cell.name)
        .filter(name => !grown.includes(name)),
    };
  }
  const doses = treatments.flatMap(treatment =>
    treatment.dose === null ? [] : [String(treatment.dose)],
  );
  const [first] = treatments;
  if (first && doses.length === treatments.length)
    return {
      ...none,
      made: 'series',
      series: {
        name: factors[0]?.name ?? '',
        unit: first.name.slice(String(first.dose).length).trim(),
        doses: doses.join(' '),
      },
    };
  return { ...none, made: 'listed' };
}

/** What is stored in the browser as a question's draft, however unfinished; what earlier versions did not ask is left open. */
export function readQuestionDraft(stored: unknown): QuestionForm | undefined {
  // Emptiness and wrong numbers are for saving to find; here only the shape is asked for.
  const read = SHAPE.safeParse(stored);
  return read.success ? read.data : undefined;
}

const loose = QuestionForm.shape;
const SHAPE = QuestionForm.extend({
  question: loose.interest,
  crop: loose.interest,
  picked: loose.interest,
  unitWord: loose.interest,
  startsOn: loose.interest,
  endsOn: loose.interest,
})
  .required()
  // A draft of before these could be asked has none.
  .extend({ mainKey: QuestionForm.shape.mainKey, own: QuestionForm.shape.own });

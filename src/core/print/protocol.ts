import { LAYOUTS } from '@/core/design/layouts/layouts';
import { CONTROL_WORDS } from '@/core/design/question/control-advice';
import { cautionsFor, LABEL_DECIDES } from '@/core/materials/safety/cautions';
import { definitionWords } from '@/core/quantity/ruler-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { materialWords, whenWords } from '@/core/schedule/rules/care-words';
import type { CareRule } from '@/core/trial/model/care-rule';
import { isTaken } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted, pluralOf } from '@/core/words/plural';

/** One part of a protocol, with its steps in order. */
export interface ProtocolPart {
  readonly title: string;
  readonly steps: readonly string[];
}

/** The plan as steps that a helper can follow. Says which treatments there are, never which unit gets which. */
export function protocolOf(data: TrialData, system: MeasureSystem = 'uk'): readonly ProtocolPart[] {
  const { trial, treatments, measures, layout, units } = data;
  const main = measures.find(measure => measure.isMain);
  const words = pluralOf(trial.unitWord);
  return [
    {
      title: 'What it is about',
      steps: [
        trial.question,
        `From ${trial.startsOn} to ${trial.rules.end === 'date' ? trial.endsOn : `“${trial.rules.endStage}”, at the latest ${trial.endsOn}`}, ${trial.crop}.`,
        ...treatments.map(
          treatment =>
            `${treatment.letter}: ${treatment.name}${treatment.role === 'control' ? `, the control${treatment.controlKind ? ` (${CONTROL_WORDS[treatment.controlKind]})` : ''}` : ''}.${treatment.detail === '' ? '' : ` ${treatment.detail}`}`,
        ),
      ],
    },
    {
      title: 'Setting up',
      steps: [
        `Fill ${counted(units.length, trial.unitWord)} alike: the same mix, the same volume, the same depth of planting. Write down how much.`,
        `Stick the label in each ${trial.unitWord} and stand it where the bench plan says. ${layout ? LAYOUTS[layout.kind].standWords(layout) : ''}`.trim(),
        'Turn no label round, and move nothing unless the plan says so.',
      ],
    },
    {
      title: 'Looking after it',
      steps: [
        `Water, shade and protect all ${words} alike, on the same days. What one gets for its health, all get.`,
        'Treat last, in the order of the codes on your list, and clean the tools between treatments.',
        ...(trial.isBlind
          ? [
              `Who may see which ${trial.unitWord} got what: ${trial.rules.key === '' ? 'whoever treats; whoever weighs does not look.' : trial.rules.key}`,
            ]
          : []),
      ],
    },
    ...careParts(data, system),
    {
      title: main && isTaken(main.scale) ? 'Reading' : 'Weighing',
      steps: [
        `${main?.name ?? 'The main measure'}: ${main ? definitionWords(main, system) : ''}`,
        `Go round all ${words} on one day, one container each, and write down every one: 0 where there was nothing, a dash where nobody looked.`,
        ...(trial.rules.cull === '' ? [] : [`Culls: ${trial.rules.cull}`]),
      ],
    },
    {
      title: 'Agreed before the start',
      steps: [
        ...(trial.rules.leaveOut === '' ? [] : [`Left out: ${trial.rules.leaveOut}`]),
        ...(trial.rules.replace === '' ? [] : [`Replaced: ${trial.rules.replace}`]),
        ...(trial.interest === '' ? [] : [`Interest: ${trial.interest}`]),
        'Labels of products, local rules and licensed advice come before this sheet.',
      ],
    },
  ];
}

/** Of the part that holds the care plan. */
export const CARE_TITLE = 'What is given and done';

/** What is planned to be given and done, by treatment, and what to mind with it. */
function careParts(
  { care, products, treatments }: TrialData,
  system: MeasureSystem,
): readonly ProtocolPart[] {
  const planned = care.rules.filter(rule => !rule.isUnplanned);
  if (planned.length === 0) return [];
  const letters = (rule: CareRule): string =>
    rule.treatmentIds.length === 0
      ? 'all'
      : treatments
          .filter(treatment => rule.treatmentIds.includes(treatment.id))
          .map(treatment => treatment.letter)
          .join(', ');
  const steps = planned.map(rule => {
    const product = products.find(each => each.id === rule.material?.productId);
    return `${rule.name}, to ${letters(rule)}: ${whenWords(rule, care.rules)}${product ? `. ${materialWords(rule, product.name, system)}` : ''}.`;
  });
  const waits = products.flatMap(product =>
    product.waitingDays
      ? [
          `${product.name}: nothing is picked to eat until ${counted(product.waitingDays, 'day')} after it.`,
        ]
      : [],
  );
  const cautions = [
    ...waits,
    ...cautionsFor(products.flatMap(product => product.hazards)).map(caution => caution.says),
  ];
  return [
    { title: CARE_TITLE, steps: [...steps, MISSED_WORDS[care.settings.missed]] },
    ...(cautions.length === 0 ? [] : [{ title: 'Take care', steps: [...cautions, LABEL_DECIDES] }]),
  ];
}

const MISSED_WORDS = {
  'do-late': 'A missed task is made up for until the next is due, for all alike.',
  skip: 'A missed task stays left out, for all alike.',
  stop: 'After a missed task no more of its kind is done, for all alike.',
} as const;

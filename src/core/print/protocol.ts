import { CONTROL_WORDS } from '@/core/trial/control-advice';
import type { Layout, TrialData } from '@/core/trial/trial-data';
import { counted, pluralOf } from '@/core/words/plural';

/** One part of a protocol, with its steps in order. */
export interface ProtocolPart {
  readonly title: string;
  readonly steps: readonly string[];
}

/** The plan as steps that a helper can follow. Says which treatments there are, never which unit gets which. */
export function protocolOf(data: TrialData): readonly ProtocolPart[] {
  const { trial, treatments, measures, layout, units } = data;
  const main = measures.find(measure => measure.isMain);
  const words = pluralOf(trial.unitWord);
  return [
    { title: 'What it is about', steps: [
      trial.question,
      `From ${trial.startsOn} to ${trial.rules.end === 'date' ? trial.endsOn : `“${trial.rules.endStage}”, at the latest ${trial.endsOn}`}, ${trial.crop}.`,
      ...treatments.map(treatment => `${treatment.letter}: ${treatment.name}${treatment.role === 'control' ? `, the control${treatment.controlKind ? ` (${CONTROL_WORDS[treatment.controlKind]})` : ''}` : ''}.${treatment.detail === '' ? '' : ` ${treatment.detail}`}`),
    ] },
    { title: 'Setting up', steps: [
      `Fill ${counted(units.length, trial.unitWord)} alike: the same mix, the same volume, the same depth of planting. Write down how much.`,
      `Stick the label in each ${trial.unitWord} and stand it where the bench plan says. ${layout ? standWords(layout) : ''}`.trim(),
      'Turn no label round, and move nothing unless the plan says so.',
    ] },
    { title: 'Looking after it', steps: [
      `Water, shade and protect all ${words} alike, on the same days. What one gets for its health, all get.`,
      'Treat last, in the order of the codes on your list, and clean the tools between treatments.',
      ...(trial.isBlind ? [`Who may see which ${trial.unitWord} got what: ${trial.rules.key === '' ? 'whoever treats; whoever weighs does not look.' : trial.rules.key}`] : []),
    ] },
    { title: 'Weighing', steps: [
      `${main?.name ?? 'The main measure'}: ${main?.definition ?? ''}`,
      `Go round all ${words} on one day, one container each, and write down every one: 0 where there was nothing, a dash where nobody looked.`,
      ...(trial.rules.cull === '' ? [] : [`Culls: ${trial.rules.cull}`]),
    ] },
    { title: 'Agreed before the start', steps: [
      ...(trial.rules.leaveOut === '' ? [] : [`Left out: ${trial.rules.leaveOut}`]), ...(trial.rules.replace === '' ? [] : [`Replaced: ${trial.rules.replace}`]),
      ...(trial.interest === '' ? [] : [`Interest: ${trial.interest}`]),
      'Labels of products, local rules and licensed advice come before this sheet.',
    ] },
  ];
}

function standWords(layout: Layout): string {
  switch (layout.kind) {
    case 'complete-randomisation': return '';
    case 'latin-square': return `Every treatment stands once in each ${layout.blockWord} and each ${layout.columnWord ?? 'column'}: change none.`;
    case 'split-plot': return `A whole ${layout.wholeWord ?? 'bed'} has one ${layout.wholeFactor ?? 'treatment'}.`;
    case 'complete-blocks': case 'pairs': case 'several-gardens': case 'incomplete-blocks': return `What belongs to one ${layout.blockWord} stays in it.`;
  }
}

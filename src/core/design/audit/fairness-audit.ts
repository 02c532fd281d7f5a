import { dealPlanOf, splitTable } from '@/core/design/layouts/deal-plan';
import { blockEfficiency } from '@/core/design/layouts/incomplete-block-sets';
import { closedPower } from '@/core/design/power/closed-power';
import { missingControls } from '@/core/design/question/control-advice';
import type { Act } from '@/core/design/question/question-form';
import { questionPattern } from '@/core/design/question/question-patterns';
import { SITE_WORDS, siteBiases } from '@/core/design/site/site-bias';
import { judgedAfter, windowTrouble } from '@/core/materials/label/mode-of-action';
import {
  heldByMix,
  type LedgerFlag,
  ledgerFlags,
  nutrientLedger,
} from '@/core/materials/ledger/nutrient-ledger';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { unevenActs } from '@/core/schedule/adherence/uneven-acts';
import { careTasks, unitMeasuresOf } from '@/core/schedule/tasks/due-today';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted, pluralOf } from '@/core/words/plural';
import { aliasingOf } from './aliasing';
import { confoundScan } from './confound-scan';

/** How bad it is: the trial can't answer; it answers less surely; good to know. */
export type AuditGrade = 'spoils' | 'weakens' | 'note';

/** Something about a plan, or about how it was carried out, that bears on its answer. */
export interface AuditFinding {
  readonly code: string;
  readonly grade: AuditGrade;
  /** What it is. */
  readonly says: string;
  /** Why it matters. */
  readonly why: string;
  /** What to do about it; empty where nothing can be done any more. */
  readonly remedy: string;
}

type Check = (view: AuditView) => Omit<AuditFinding, 'code'> | false;

interface AuditView {
  readonly data: TrialData;
  readonly act: Act;
  /** Units of the treatment that has fewest; 0 before the deal. */
  readonly fewest: number;
  readonly days: number;
  readonly word: string;
  readonly words: string;
  readonly isPlanned: boolean;
  readonly cv: number;
}

/**
 * Looks a plan over, or a trial that is running or done: the worst first.
 *
 * @param cv how much units treated alike spread (SD over mean)
 */
export function fairnessAudit(data: TrialData, cv: number): readonly AuditFinding[] {
  const counts = data.treatments.map(
    treatment => data.units.filter(unit => unit.treatmentId === treatment.id).length,
  );
  const view: AuditView = {
    data,
    act: questionPattern(data.trial.pattern)?.form.act ?? 'feed',
    fewest: counts.length > 0 ? Math.min(...counts) : 0,
    days: daysBetween(data.trial.startsOn, data.trial.endsOn),
    word: data.trial.unitWord,
    words: pluralOf(data.trial.unitWord),
    isPlanned: data.trial.state === 'planned',
    cv,
  };
  const found = Object.entries(AUDIT_CHECKS).flatMap(([code, check]): AuditFinding[] => {
    const finding = check(view);
    return finding ? [{ code, ...finding }] : [];
  });
  return [...found, ...confounded(data)].sort(
    (a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade),
  );
}

const GRADES: readonly AuditGrade[] = ['spoils', 'weakens', 'note'];

/** Days below which an act has hardly begun to show. Common practice, no source. */
const SHORTEST_DAYS: Readonly<Record<Act, number>> = {
  feed: 42,
  amendment: 60,
  mix: 42,
  pruning: 42,
  container: 42,
  remedy: 14,
  barrier: 21,
  weeds: 28,
  mulch: 42,
  water: 28,
  method: 42,
};

const spoils = (says: string, why: string, remedy: string) =>
  ({ grade: 'spoils', says, why, remedy }) as const;
const weakens = (says: string, why: string, remedy: string) =>
  ({ grade: 'weakens', says, why, remedy }) as const;
const note = (says: string, why: string, remedy: string) =>
  ({ grade: 'note', says, why, remedy }) as const;

/** Every check by its code. Each looks at one thing. */
export const AUDIT_CHECKS: Readonly<Record<string, Check>> = {
  'two-questions': ({ data }) =>
    /\?.*\?|\band (whether|which|does|do|is|how)\b/i.test(data.trial.question) &&
    weakens(
      'The question holds two.',
      'The same pots can’t answer both, and the one that turns out well gets told.',
      'Ask one; make the other its own trial.',
    ),
  'no-margin': ({ data }) =>
    data.measures.find(measure => measure.isMain)?.margin === null &&
    weakens(
      'Any difference counts as worth having.',
      'With enough pots every difference is sure, however small.',
      'Say under Ask what gain would pay for the trouble.',
    ),
  'margin-out-of-reach': ({ data, fewest, words, cv }) => {
    const main = data.measures.find(measure => measure.isMain);
    const margin = main?.margin;
    const hasMean =
      main?.scale == null || main.scale.kind === 'continuous' || main.scale.kind === 'percent'; // of counts, shares, steps and days the closed form knows nothing
    if (margin?.kind !== 'percent' || fewest < 2 || !hasMean) return false;
    const chance = closedPower(
      {
        kind: 'dunnett',
        groups: data.treatments.length,
        delta: margin.percent / 100,
        sd: cv,
        alpha: 0.05,
      },
      fewest,
    );
    return (
      chance < 0.5 &&
      weakens(
        `The ${margin.percent}% worth having would be seen ${Math.round(100 * chance)} times of 100.`,
        `At a spread of ${Math.round(100 * cv)}% so few ${words} can’t show it.`,
        `More ${words} of each, or fewer treatments.`,
      )
    );
  },
  'missing-control': ({ data, act }) => {
    if (data.factors.length > 1 || data.treatments.some(treatment => treatment.dose === 0))
      return false; // the first levels, or none of it, are the control
    const [need] = missingControls(
      act,
      data.treatments
        .filter(treatment => treatment.role !== 'test')
        .map(treatment => treatment.controlKind),
    );
    return (
      need !== undefined &&
      weakens(
        'A control is missing.',
        `${need.words} Without it ${need.without}.`,
        'Add it under Ask, or say there what the control is.',
      )
    );
  },
  'piece-weight': ({ data }) =>
    data.measures.some(measure => measure.isMain && measure.summary === 'mean-piece-weight') &&
    note(
      'The weight of a piece is the main measure.',
      'A plant that sets fewer pieces makes bigger ones: a loss can look like a gain.',
      'Look at the weight of the whole harvest, too.',
    ),
  'culls-count': ({ data }) =>
    data.measures.some(measure => measure.isMain && measure.summary === 'total-weight') &&
    note(
      'Culls count in the main measure.',
      'A treatment that swells rotten fruit wins by it.',
      'Take the sound harvest, unless this is meant.',
    ),
  'no-leave-out-rule': ({ data }) =>
    data.trial.rules.leaveOut === '' &&
    weakens(
      'No rule says what makes a unit be left out.',
      'After a look at the results there is always a reason for the one that spoils them.',
      'Write it under Ask before the lock.',
    ),
  'no-replace-rule': ({ data }) =>
    data.trial.rules.replace === '' &&
    note(
      'No rule says when a unit may be replaced.',
      'A late replacement is another plant of another age.',
      'Write it under Ask before the lock.',
    ),
  'no-cull-rule': ({ data }) =>
    data.trial.rules.cull === '' &&
    note(
      'No rule says what a cull is.',
      'What is thrown out decides what is weighed.',
      'Write it under Ask before the lock.',
    ),
  'ends-by-stage': ({ data }) =>
    data.trial.rules.end === 'stage' &&
    note(
      'The trial ends by stage.',
      'A treatment that makes late plants gets more days.',
      'Say so with the result, or end by a date.',
    ),
  'too-short': ({ days, act }) =>
    days < SHORTEST_DAYS[act] &&
    weakens(
      `${days} days are short for this.`,
      `What is done takes its time: less than ${SHORTEST_DAYS[act]} days hardly show it.`,
      'Plan a longer season.',
    ),
  'fed-mix': ({ act, days }) =>
    act === 'feed' &&
    days < 70 &&
    note(
      'A bought mix feeds plants itself for some five weeks.',
      'Until then the unfed control is fed, too.',
      'Start with a lean mix, or go on longer.',
    ),
  programme: ({ data }) =>
    data.treatments.some(treatment => treatment.detail !== '') &&
    note(
      'A programme is one treatment.',
      'Whether it wins by its first step or its last can’t be told.',
      'Say “the programme”, not what is in it.',
    ),
  'interest-unblinded': ({ data }) =>
    data.trial.interest !== '' &&
    !data.trial.isBlind &&
    weakens(
      'Somebody has an interest, and everyone sees what each unit got.',
      'Nobody scores their own recipe fairly.',
      'Lay it out blind, or let somebody else weigh.',
    ),
  interest: ({ data }) =>
    data.trial.interest !== '' && note('An interest is declared.', data.trial.interest, ''),
  'no-predictions': ({ data }) =>
    data.predictions.every(each => each.about !== '') &&
    note(
      'Nobody has said what they expect.',
      'A surprise is one only if it was written down before.',
      data.trial.state === 'closed' ? '' : 'Seal a guess under Ask.',
    ),
  'one-each': ({ fewest, word, words }) =>
    fewest === 1 &&
    spoils(
      `One ${word} of a treatment decides nothing.`,
      `Two ${words} treated alike differ, too, and nothing here says by how much.`,
      `At least two of each; four to eight tell something.`,
    ),
  'few-each': ({ fewest, words }) =>
    fewest > 1 &&
    fewest < 4 &&
    weakens(
      `Only ${fewest} ${words} of a treatment.`,
      'What so few show is a large gap or nothing.',
      'Fewer treatments leave more for each.',
    ),
  'many-treatments': ({ data, words }) =>
    data.treatments.length > 5 &&
    data.factors.length < 2 &&
    note(
      `${data.treatments.length} treatments share the ${words}.`,
      'Every one more takes from all others, and one of many shines by luck.',
      'Drop the ones you would not use anyway.',
    ),
  'control-too-thin': ({ data, fewest }) => {
    const control = data.units.filter(
      unit =>
        data.treatments.find(treatment => treatment.id === unit.treatmentId)?.role === 'control',
    ).length;
    return (
      data.factors.length < 2 &&
      data.treatments.length >= 4 &&
      fewest >= 2 &&
      control === fewest &&
      data.layout?.kind === 'complete-randomisation' &&
      note(
        'The control gets no more than the others.',
        `It stands in every comparison: about ${Math.sqrt(data.treatments.length - 1).toFixed(1)} times as many serve all.`,
        'Give it more under Lay out.',
      )
    );
  },
  'no-zero-dose': ({ data }) =>
    data.treatments.some(treatment => treatment.dose !== null) &&
    !data.treatments.some(treatment => treatment.dose === 0) &&
    weakens(
      'The series has no zero.',
      'It can’t show whether any dose helps, only whether more does.',
      'Add 0 under Ask.',
    ),
  'few-doses': ({ data }) =>
    data.treatments.filter(treatment => treatment.dose !== null).length === 3 &&
    note(
      'Three doses.',
      'Where it levels off lies somewhere between two of them.',
      'Four or five show the bend.',
    ),
  'crossed-gaps': ({ data }) => {
    if (data.factors.length < 2) return false;
    const told = aliasingOf(
      data.factors,
      data.treatments.map(treatment => treatment.levels),
    );
    const blurred = told.mainEffects.filter(effect => !effect.isClear).map(effect => effect.factor);
    return (
      blurred.length > 0 &&
      spoils(
        `${blurred.join(' and ')} can’t be told apart from the rest.`,
        'Their levels only come together.',
        'Grow the missing combinations.',
      )
    );
  },
  'crossed-unseen': ({ data }) => {
    if (data.factors.length < 2) return false;
    const unseen = aliasingOf(
      data.factors,
      data.treatments.map(treatment => treatment.levels),
    ).interactions.filter(each => each.share !== 'whole');
    return (
      unseen.length > 0 &&
      note(
        `Whether ${unseen[0]?.factors[0]} depends on ${unseen[0]?.factors[1]} won’t show${unseen[0]?.share === 'part' ? ' in full' : ''}.`,
        'Combinations are missing.',
        'Grow all of them, if you want to know.',
      )
    );
  },
  'containers-differ': ({ act }) =>
    act === 'container' &&
    note(
      'Containers differ in more than their name.',
      'Volume, colour and how fast they dry go with it.',
      'Fill all to one volume, and water to need, written down.',
    ),
  'not-dealt': ({ data }) =>
    data.layout === null &&
    spoils(
      'Nothing is dealt yet.',
      'A place chosen by hand goes to the favourite.',
      'Deal under Lay out.',
    ),
  'dealt-again': ({ data }) =>
    (data.layout?.deals ?? 0) > 3 &&
    weakens(
      `Dealt ${data.layout?.deals} times.`,
      'Dealing until it looks right is choosing by hand.',
      'Keep the first deal that meets the rules.',
    ),
  'few-blocks': ({ data, words }) => {
    const blocks = data.layout?.blockCount ?? 0;
    const isSmall =
      (data.layout?.kind === 'pairs' && blocks < 6) ||
      (data.layout?.kind === 'complete-blocks' &&
        data.treatments.length === 2 &&
        blocks > 0 &&
        data.units.length === 2 * blocks &&
        blocks < 6);
    return (
      isSmall &&
      weakens(
        `${counted(blocks, data.layout?.blockWord ?? 'block')} of two ${words}.`,
        `Even if all point one way, that turns up in ${Math.round(200 / 2 ** blocks)} of 100 shuffles.`,
        'At least six pairs.',
      )
    );
  },
  'no-blocks': ({ data, words }) =>
    data.layout?.kind === 'complete-randomisation' &&
    data.units.length > 12 &&
    weakens(
      `${data.units.length} ${words} over the whole bench.`,
      'On so long a bench light and draught differ, and their difference lands in the spread.',
      'Deal within blocks.',
    ),
  'incomplete-blocks': ({ data }) => {
    if (data.layout?.kind !== 'incomplete-blocks') return false;
    const sets = data.blocks.map(block =>
      data.units
        .filter(unit => unit.blockId === block.id)
        .map(unit => data.treatments.findIndex(treatment => treatment.id === unit.treatmentId)),
    );
    const efficiency = blockEfficiency(sets, data.treatments.length);
    return efficiency === null
      ? spoils(
          'Some treatments can’t be compared.',
          'No chain of blocks links them.',
          'More blocks, or larger ones.',
        )
      : note(
          `Blocks hold ${data.layout.perBlock} of ${data.treatments.length} treatments: ${Math.round(100 * efficiency)}% as good as whole blocks.`,
          'Comparisons within a block count; others go by way of a third treatment.',
          '',
        );
  },
  'few-whole-plots': ({ data }) => {
    const { layout } = data;
    if (layout?.kind !== 'split-plot') return false;
    const levels = splitTable(data.treatments, layout.wholeFactor ?? '').length;
    const error = (layout.blockCount - 1) * (levels - 1);
    return (
      error < 4 &&
      weakens(
        `${layout.wholeFactor} is judged by ${counted(layout.blockCount * levels, layout.wholeWord ?? 'bed')} only.`,
        'What was dealt to whole beds is as good as the number of beds, not of plots.',
        'More strips, or deal both to the plots.',
      )
    );
  },
  'not-blind': ({ data }) =>
    !data.trial.isBlind &&
    note(
      'Everyone sees what each unit got.',
      'A kind eye leaves the odd bean on the favourite.',
      data.trial.state === 'planned' ? 'Lay it out blind, if it can be hidden.' : '',
    ),
  'no-start-sizes': ({ data, words }) =>
    data.units.length > 0 &&
    data.units.every(unit => unit.startSize === null) &&
    note(
      'No start sizes were taken.',
      `${words} that began bigger end bigger.`,
      data.trial.state === 'planned' ? 'Measure before the deal and let it be dealt alike.' : '',
    ),
  'shared-roots': ({ data, words }) =>
    /half|side|bag|sack/i.test(data.trial.unitWord) &&
    weakens(
      `${words} may share roots and water.`,
      'What is fed to one feeds its neighbour: two treatments in one bag are not independent.',
      'Put a barrier between them, or give each its own container.',
    ),
  'part-of-plant': ({ data, words }) =>
    /leaf|branch|shoot|side of a plant|twig/i.test(data.trial.unitWord) &&
    weakens(
      `${words} belong to one plant.`,
      'What goes into one part travels to the others.',
      'Use it for what stays where it is put, such as a spray that is not taken up.',
    ),
  'arranged-in-sight': ({ data }) =>
    (data.layout?.isArrangedInSight ?? false) &&
    weakens(
      'Places were moved by hand with the treatments in sight.',
      'A hand finds the better place for its favourite.',
      data.trial.state === 'planned' ? 'Deal again: the places stay, the lot is new.' : '',
    ),
  'site-leans': ({ data }) => {
    // Which treatment it leans to is not said: in a blind trial that would be a hint.
    const worst = siteBiases(data)
      .flatMap(({ feature, biases }) =>
        biases.map(bias => ({ feature, percent: Math.abs(bias.percent) })),
      )
      .sort((a, b) => b.percent - a.percent)[0];
    return (
      worst !== undefined &&
      worst.percent > 2 &&
      weakens(
        `The ${SITE_WORDS[worst.feature.kind].split(',')[0]} alone leans a treatment by ${worst.percent.toFixed(1)}%.`,
        'This deal lies unevenly on it, and the blocks don’t take it out.',
        data.trial.state === 'planned' ? 'Cut the blocks along it, or use a square.' : '',
      )
    );
  },
  'site-unknown': ({ data }) =>
    data.layout !== null &&
    data.layout.site.length === 0 &&
    note(
      'Nothing is drawn of the site.',
      'Slope, light, walls and paths make one end better than the other.',
      'Draw it under Lay out: then it shows what the deal makes of it.',
    ),
  'no-guards': ({ data }) =>
    !data.layout?.hasGuards &&
    data.places.some(place => place.kind === 'plot') &&
    note(
      'Plots have edges.',
      'A plant at an edge gets more light, and its neighbour’s treatment.',
      'Leave the outer plants unpicked, or plant guards.',
    ),
  scope: ({ data }) =>
    data.layout !== null &&
    data.layout.kind !== 'several-gardens' &&
    note(
      'One garden, one season.',
      'What holds here need not hold elsewhere.',
      'Say “here, this year”; try it in other gardens.',
    ),
  'key-early': ({ data }) => {
    const opened = data.trial.keyOpenedAt;
    return (
      data.trial.isBlind &&
      opened !== null &&
      opened.slice(0, 10) < data.trial.endsOn &&
      data.picks.some(pick => pick.takenAt > opened) &&
      weakens(
        `The key was opened on ${opened.slice(0, 10)}, before the end.`,
        'What was weighed afterwards was not weighed blind.',
        '',
      )
    );
  },
  'left-out-late': ({ data }) =>
    data.incidents.some(incident => incident.decision === 'leave-out' && incident.afterKeyOpened) &&
    weakens(
      'Something was left out after the key was open.',
      'Then it is known whom it helps.',
      'Look at the verdict with all in.',
    ),
  'left-out-one-sided': ({ data, words }) => {
    const out = data.incidents
      .filter(incident => incident.decision === 'leave-out')
      .map(incident => data.units.find(unit => unit.id === incident.unitId)?.treatmentId);
    return (
      out.length >= 2 &&
      new Set(out).size === 1 &&
      weakens(
        `All ${words} left out had the same treatment.`,
        'Perhaps it was the treatment that did it.',
        'Judge with all in, and count the losses.',
      )
    );
  },
  'unread-unevenly': ({ data, words }) => {
    if (data.picks.length === 0) return false;
    const shares = data.treatments.map(treatment => {
      const own = data.units.filter(unit => unit.treatmentId === treatment.id);
      return (
        own.filter(unit => data.picks.some(pick => pick.unitId === unit.id)).length /
        Math.max(1, own.length)
      );
    });
    return (
      Math.max(...shares) - Math.min(...shares) > 0.25 &&
      weakens(
        `Some treatments have more ${words} without an entry.`,
        'What is missing may be what was worst.',
        'Go round again.',
      )
    );
  },
  'kept-unevenly': ({ data }) => {
    const kept = adherenceOf(
      data.care.rules,
      careTasks(data, lastKnownDay(data)),
      data.treatments.map(treatment => treatment.id),
      data.units,
    );
    if (!isUneven(kept)) return false;
    const worst = [...kept].filter(each => each.planned > 0).sort((a, b) => a.share - b.share)[0];
    const name = data.treatments.find(treatment => treatment.id === worst?.treatmentId)?.name ?? '';
    return weakens(
      `${name} got ${Number((worst?.done ?? 0).toFixed(1))} of ${counted(worst?.planned ?? 0, 'planned step')}, others more of theirs.`,
      'What is compared is partly how well each was kept.',
      data.trial.state === 'closed' ? '' : 'Make up for it if the rule allows, for all alike.',
    );
  },
  'acts-on-some': ({ data, words }) => {
    const acts = unevenActs(data);
    const [first] = acts;
    return (
      first !== undefined &&
      note(
        `${counted(acts.length, 'act')} went to some ${words} only: ${first.name} on ${first.on} to ${first.codes.join(', ')}.`,
        'What one gets for its health and another does not is a second difference.',
        '',
      )
    );
  },
  'window-too-short': ({ data }) => {
    const late = tooLateToShow(data);
    return (
      late !== undefined &&
      weakens(
        `${late.product}: ${late.trouble}`,
        'What has had no time to work is judged as if it did nothing.',
        data.trial.state === 'planned'
          ? 'End later, or give it sooner.'
          : 'Say “so far”, and look again.',
      )
    );
  },
  'barriers-bridged': ({ data, words }) => {
    const bridged = data.care.acts.filter(
      act =>
        act.outcome === 'not-as-it-should-be' &&
        data.care.rules.some(rule => rule.id === act.ruleId && rule.kind === 'barrier'),
    );
    return (
      bridged.length > 0 &&
      weakens(
        `Barriers were found bridged ${counted(bridged.length, 'time')}.`,
        `What crosses a leaf reaches all ${words} behind it.`,
        data.trial.state === 'closed' ? '' : 'Mend them for all alike, and note the day.',
      )
    );
  },
  'several-seasons': ({ data }) =>
    data.trial.rules.seasons > 1 &&
    note(
      `One of ${data.trial.rules.seasons} seasons that were planned.`,
      'The answer was meant to come from all of them.',
      '',
    ),
  'no-rescue-rule': ({ data }) =>
    data.trial.rules.rescue === '' &&
    data.treatments.some(treatment => treatment.controlKind === 'nothing') &&
    note(
      'No rule says what happens when the untreated ones fail.',
      'A control that is fed or sprayed at last is no control from that day on.',
      data.trial.state === 'planned' ? 'Write it under Ask before the lock.' : '',
    ),
  'unequal-amounts': ({ data, act }) => {
    const flag = feedFlags(data, act).find(each => each.code === 'differs-in-amount');
    return (
      flag !== undefined &&
      weakens(
        flag.says,
        'Kind and amount can’t be told apart then.',
        data.trial.state === 'planned'
          ? 'Make it fair under Tend, or ask which product as sold does better.'
          : 'Say “as sold”, not “this kind”.',
      )
    );
  },
  'base-hides': ({ data, act }) => {
    const flag = feedFlags(data, act).find(each => each.code === 'base-hides');
    return (
      flag !== undefined &&
      weakens(
        flag.says,
        'Where there is plenty already, more shows little.',
        data.trial.state === 'planned' ? 'Take a leaner mix.' : 'It holds for a rich mix.',
      )
    );
  },
  amended: ({ data }) =>
    data.amendments.length > 0 &&
    note(
      `The plan was changed ${counted(data.amendments.length, 'time')} after the lock.`,
      data.amendments.map(amendment => amendment.why).join(' · '),
      '',
    ),
  'units-changed': ({ data, words, isPlanned }) => {
    if (isPlanned || !data.layout) return false;
    const dealt = dealPlanOf({ ...data.layout, each: 1 }, data.treatments);
    return (
      dealt.kind === 'latin-square' &&
      data.units.length < data.treatments.length ** 2 &&
      note(`The square has lost ${words}.`, 'Rows and columns no longer hold every treatment.', '')
    );
  },
};

/** What is given too near the end for its way of acting. */
function tooLateToShow(
  data: TrialData,
): { readonly product: string; readonly trouble: string } | undefined {
  const tasks = careTasks(data, data.trial.startsOn);
  for (const product of data.products) {
    const rules = new Set(
      data.care.rules.filter(rule => rule.material?.productId === product.id).map(rule => rule.id),
    );
    if (product.acts === null) continue;
    const counted = tasks
      .filter(task => rules.has(task.ruleId) && task.dueOn !== null)
      .at(judgedAfter(product.acts).since === 'first' ? 0 : -1)?.dueOn;
    const trouble = counted
      ? windowTrouble(product.acts, daysBetween(counted, data.trial.endsOn))
      : undefined;
    if (trouble !== undefined) return { product: product.name, trouble };
  }
  return undefined;
}

/** The day up to which a trial's care can be looked at: its end, or its last entry. */
function lastKnownDay({ trial, care, picks }: TrialData): string {
  const days = [
    trial.startsOn,
    ...care.acts.map(act => act.doneOn),
    ...picks.map(pick => pick.pickedOn),
  ].sort();
  return trial.state === 'closed' ? trial.endsOn : (days.at(-1) ?? trial.startsOn);
}

function feedFlags(data: TrialData, act: Act): readonly LedgerFlag[] {
  const { care, treatments, products, places, units } = data;
  const unit = unitMeasuresOf(
    places.find(place => place.id === units[0]?.placeId),
    care.settings.mixMl,
  );
  const accounts = nutrientLedger(
    {
      treatments,
      rules: care.rules,
      products,
      given: [],
      units,
      unit,
      by: data.trial.endsOn,
      tasks: careTasks(data, lastKnownDay(data)),
    },
    'planned',
  );
  const base =
    care.settings.mixMl !== null && care.settings.mixNMgPerL !== null
      ? heldByMix({ n: care.settings.mixNMgPerL }, care.settings.mixMl)
      : {};
  return ledgerFlags(
    accounts,
    base,
    (act === 'feed' || act === 'amendment') &&
      treatments.every(treatment => treatment.dose === null),
  );
}

function confounded(data: TrialData): readonly AuditFinding[] {
  return confoundScan(data).map(
    (found): AuditFinding =>
      found.how === 'wholly'
        ? {
            code: 'confounded',
            ...spoils(
              `${capital(found.what)} and ${found.with} go together wholly.`,
              'A difference may be the one’s doing or the other’s: nothing here can tell.',
              data.trial.state === 'planned' ? 'Deal again, within blocks.' : '',
            ),
          }
        : {
            code: 'leans',
            ...note(
              `${capital(found.what)} leans on ${found.with}${found.p === null ? '' : ` (p ${found.p < 0.001 ? '< 0.001' : found.p.toFixed(3)})`}.`,
              'By chance one column in ten does. If that column matters, the sums are off by its share.',
              data.trial.state === 'planned' ? 'Block by it, or take it as it came.' : '',
            ),
          },
  );
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

import { bottlesDiffer } from '@/core/blinding/bottle-days';
import { blockEfficiency } from '@/core/design/layouts/incomplete-block-sets';
import { splitTable } from '@/core/design/layouts/split-plot';
import { siteBiases } from '@/core/design/site/site-bias';
import { SITE_WORDS } from '@/core/design/site/site-features';
import { counted } from '@/core/words/plural';
import { type Check, note, spoils, weakens } from './audit-view';

/** How it was dealt, where it stands, and who knows. */
export const LAYOUT_CHECKS: Readonly<Record<string, Check>> = {
  'bottles-differ': ({ data, words }) =>
    data.trial.state !== 'closed' &&
    bottlesDiffer(data) &&
    weakens(
      'The bottles can be told apart by their days.',
      `Who gives and weighs sees which ${words} get something oftener, or never.`,
      'Plan the same days for all, with plain water where there is nothing else to give.',
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
      'Everyone sees what each got.',
      'Whoever measures may favour one without noticing.',
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
  'layout-given': ({ data }) =>
    (data.layout?.isGiven ?? false) &&
    weakens(
      'The layout was brought in as a table.',
      'Whether it was dealt by lot is not known: where it was not, a treatment can’t be told from its place.',
      data.trial.state === 'planned' ? 'Deal it here, or note how it was dealt.' : '',
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
};

import { addDays } from '@/core/time/garden-day';
import { GardenId } from '@/core/trial/model/ids';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import { beanCare, beanReads, dwarfBeans } from './demo-beans';
import { beansBefore } from './demo-beans-before';
import { beetroot } from './demo-beetroot';
import { withCare } from './demo-care';
import { courgettes } from './demo-courgettes';
import { lettuces } from './demo-lettuces';
import { onions } from './demo-onions';
import { pathWeeds } from './demo-path-weeds';
import { withReadings } from './demo-readings';
import { demoShelf } from './demo-shelf';
import { strawberries, strawberryCare, strawberryReads } from './demo-strawberries';
import { sweetPeas } from './demo-sweet-peas';
import { type SeasonDice, seasonDice } from './seeded-season';

/** The season at Cinder Row, a shared plot that does not exist. */
export interface DemoSeason {
  readonly garden: {
    readonly id: GardenId;
    readonly name: string;
    readonly system: 'uk';
    readonly latitude: number;
    readonly altitudeM: number;
    readonly lastFrost: string;
    readonly firstFrost: string;
    readonly timeZone: string;
    readonly demoDay: string;
  };
  readonly shelf: readonly Product[];
  /** A closed one says so in its state; its verdict is for the keeper to compute. */
  readonly trials: readonly TrialData[];
}

const SEED = 23;

/** A Saturday in the middle of July, at which the clock of the demo stands. */
export const DEMO_DAY = '2026-07-18';

// So many days before the demo's day the older trials had come to where a running one would be.
const LAST_AUTUMN = -275;
const YEAR_BEFORE = -296;
const LAST_SUMMER = -242;
const IN_SPRING = 22;

/**
 * Makes the demo season. Finished: dwarf beans (a clear winner, and a feed that harmed), the beans of the year before (for taking
 * seasons together), beetroot under four depths of leaf-mould (levels off), courgettes in sacks and tubs (can't tell), lettuces
 * among slugs (days to the first bite), onions in three gardens. Running: strawberries (blind), sweet peas (in pairs), weeds of a
 * path. The same day gives the same season to the last gram; another day moves its dates.
 *
 * @param today the day the running trials have come to
 */
export function demoSeason(today: string = DEMO_DAY): DemoSeason {
  const dice = seasonDice(SEED, Date.parse(`${addDays(today, -160)}T08:00:00Z`));
  const garden = {
    id: GardenId.parse(dice.newId()),
    name: 'Cinder Row',
    system: 'uk',
    latitude: 51.2,
    altitudeM: 60,
    lastFrost: '05-12',
    firstFrost: '10-24',
    timeZone: '',
    demoDay: today,
  } as const;
  const autumn = addDays(today, LAST_AUTUMN);
  const [beans, berries] = [
    dwarfBeans(autumn, garden.id, dice),
    strawberries(today, garden.id, dice),
  ];
  // Dice of their own, so that what stood before them stays to the gram.
  const later = (nth: number): SeasonDice =>
    seasonDice(SEED + nth, Date.parse(`${addDays(today, -150)}T08:00:00Z`));
  const shelf = demoShelf(dice);
  return {
    garden,
    shelf: [shelf.heronsgill, shelf.wrackline, shelf.comfrey, ...shelf.others],
    trials: [
      withReadings(withCare(beans, beanCare(shelf), autumn, dice), beanReads(beans), later(5)),
      withReadings(
        withCare(berries, strawberryCare(shelf), today, dice),
        strawberryReads(berries),
        seasonDice(SEED + 1, Date.parse(`${addDays(today, -60)}T08:00:00Z`)),
      ),
      beetroot(addDays(today, LAST_SUMMER), garden.id, later(2)),
      beansBefore(addDays(today, YEAR_BEFORE), garden.id, later(4)),
      lettuces(addDays(today, IN_SPRING), garden.id, later(3)),
      sweetPeas(today, garden.id, later(6)),
      pathWeeds(today, garden.id, later(7)),
      courgettes(addDays(today, -425), garden.id, later(8)),
      onions(addDays(today, -480), garden.id, later(9)),
    ],
  };
}

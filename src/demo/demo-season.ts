import { addDays } from '@/core/time/garden-day';
import { GardenId } from '@/core/trial/model/ids';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import { beanCare, beanReads, dwarfBeans } from './demo-beans';
import { beansBefore } from './demo-beans-before';
import { beetroot } from './demo-beetroot';
import { withCare } from './demo-care';
import { lettuces } from './demo-lettuces';
import { withReadings } from './demo-readings';
import { demoShelf } from './demo-shelf';
import { strawberries, strawberryCare, strawberryReads } from './demo-strawberries';
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
  };
  readonly shelf: readonly Product[];
  /** A closed one says so in its state; its verdict is for the keeper to compute. */
  readonly trials: readonly TrialData[];
}

const SEED = 23;

/**
 * Makes the demo season: dwarf beans (finished, a clear winner), strawberries (running, blind), beetroot under four depths of
 * leaf-mould (finished, levels off), the beans of the year before (for taking seasons together) and lettuces among slugs (finished, days to the first bite). The same day gives the
 * same season to the last gram; another day moves its dates.
 *
 * @param today the day the running trial has come to
 */
export function demoSeason(today: string): DemoSeason {
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
  } as const;
  const [beans, berries] = [
    dwarfBeans(today, garden.id, dice),
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
      withReadings(withCare(beans, beanCare(shelf), today, dice), beanReads(beans), later(5)),
      withReadings(
        withCare(berries, strawberryCare(shelf), today, dice),
        strawberryReads(berries),
        seasonDice(SEED + 1, Date.parse(`${addDays(today, -60)}T08:00:00Z`)),
      ),
      beetroot(today, garden.id, later(2)),
      beansBefore(today, garden.id, later(4)),
      lettuces(today, garden.id, later(3)),
    ],
  };
}

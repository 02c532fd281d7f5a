import type { Knex } from 'knex';
import * as firstTables from './20261125-first-tables';
import * as fairTests from './20261125b-fair-tests';
import * as shelfAndCalendar from './20261125c-shelf-and-calendar';
import * as actsByUnit from './20261125d-acts-by-unit';
import * as readings from './20261125e-readings';
import * as mishaps from './20261125f-mishaps';
import * as lookingClosely from './20261126-looking-closely';
import * as regrets from './20261126b-regrets';
import * as guesses from './20261129-guesses';
import * as partsAdded from './20261129b-parts-added';
import * as timeZone from './20261129c-time-zone';
import * as decidedInTime from './20261129d-decided-in-time';
import * as whoWrote from './20261129e-who-wrote';
import * as valueOnADay from './20261129f-value-on-a-day';
import * as putAway from './20261129g-put-away';
import * as asBuilt from './20261129h-as-built';
import * as demoDay from './20261130a-demo-day';
import * as otherGardens from './20261130b-other-gardens';
import * as keptDeal from './20261130c-kept-deal';

interface Migration {
  up(db: Knex): PromiseLike<void>;
  down(db: Knex): PromiseLike<void>;
}

// A static list, so that one source serves the application's bundle, the scripts and the tests. Never edit one that landed.
const MIGRATIONS: Readonly<Record<string, Migration>> = {
  '20261125-first-tables': firstTables,
  '20261125b-fair-tests': fairTests,
  '20261125c-shelf-and-calendar': shelfAndCalendar,
  '20261125d-acts-by-unit': actsByUnit,
  '20261125e-readings': readings,
  '20261125f-mishaps': mishaps,
  '20261126-looking-closely': lookingClosely,
  '20261126b-regrets': regrets,
  '20261129-guesses': guesses,
  '20261129b-parts-added': partsAdded,
  '20261129c-time-zone': timeZone,
  '20261129d-decided-in-time': decidedInTime,
  '20261129e-who-wrote': whoWrote,
  '20261129f-value-on-a-day': valueOnADay,
  '20261129g-put-away': putAway,
  '20261129h-as-built': asBuilt,
  '20261130a-demo-day': demoDay,
  '20261130b-other-gardens': otherGardens,
  '20261130c-kept-deal': keptDeal,
};

/** Every migration by name, oldest first. */
export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(MIGRATIONS).sort(),
  getMigrationName: name => name,
  getMigration: async name => {
    const migration = MIGRATIONS[name];
    if (!migration) throw new RangeError(`migration must be one of the list, got ${name}`);
    return migration;
  },
};

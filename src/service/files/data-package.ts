import { strToU8, zipSync } from 'fflate';
import { fileName } from '@/core/trial/file-name';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { withoutNames } from '@/core/trial/without-names';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { csvTable } from '@/service/judge/report-rows';
import { database } from '@/store/connection/database';
import { findTrialData, trialsOf } from '@/store/trials';
import { type PackageTable, packageTables } from './package-tables';

/** A zip of tables with their description (Frictionless Data Package 1.0), as it is saved. */
export interface PackageFile {
  readonly name: string;
  readonly zip: Uint8Array<ArrayBuffer>;
}

/** One trial as a data package; undefined where there is none. While its key is shut it holds codes only. */
export async function trialPackage(
  trialId: string,
  hasNames: boolean,
): Promise<PackageFile | undefined> {
  const data = await findTrialData(database(), trialId);
  if (!data) return undefined;
  const garden = await currentGarden();
  return {
    name: fileName([garden.name, data.trial.question, today()], 'zip'),
    zip: packed([contentOf(data, hasNames)], data.trial.question),
  };
}

/** Every trial of the garden that was dealt, as one data package. */
export async function gardenPackage(hasNames: boolean): Promise<PackageFile> {
  const garden = await currentGarden();
  const trials = await trialsOf(database(), garden.id);
  const contents: TrialContent[] = [];
  for (const { id, state } of trials) {
    const data = state === 'planned' ? undefined : await findTrialData(database(), id);
    if (data) contents.push(contentOf(data, hasNames));
  }
  return { name: fileName([garden.name, today()], 'zip'), zip: packed(contents, garden.name) };
}

interface TrialContent {
  readonly folder: string;
  readonly question: string;
  readonly tables: readonly PackageTable[];
  /** The trial whole, to be taken in again; null while it is blind. */
  readonly whole: string | null;
}

function contentOf(found: TrialData, hasNames: boolean): TrialContent {
  const data = hasNames ? found : withoutNames(found);
  const isBlind = !isKeyOpen(data.trial);
  return {
    folder: fileName([data.trial.question, data.trial.endsOn], 'x').slice(0, -2),
    question: data.trial.question,
    tables: packageTables(data, isBlind),
    whole: isBlind ? null : JSON.stringify(data),
  };
}

// The same content gives the same bytes: the day of a file in a zip says nothing here.
const MTIME = new Date(1990, 0, 1);

function packed(contents: readonly TrialContent[], title: string): Uint8Array<ArrayBuffer> {
  const files: Record<string, Uint8Array> = {};
  const resources = contents.flatMap(({ folder, question, tables, whole }) => {
    if (whole !== null) files[`${folder}/trial.json`] = strToU8(whole);
    return tables.map(table => {
      const path = `${folder}/${table.name}.csv`;
      files[path] = strToU8(csvTable(table.rows));
      return resourceOf(`${folder}-${table.name}`, path, `${question} ${table.title}`, table);
    });
  });
  const descriptor = {
    profile: 'tabular-data-package',
    name: fileName([title], 'x').slice(0, -2),
    title,
    resources,
  };
  files['datapackage.json'] = strToU8(`${JSON.stringify(descriptor, null, 1)}\n`);
  return zipSync(files, { mtime: MTIME });
}

function resourceOf(name: string, path: string, title: string, { rows }: PackageTable) {
  const [heads = [], ...body] = rows;
  return {
    profile: 'tabular-data-resource',
    name,
    path,
    title,
    format: 'csv',
    mediatype: 'text/csv',
    encoding: 'utf-8',
    schema: {
      fields: heads.map((head, i) => ({
        name: head,
        type: typeOf(
          head,
          body.map(row => row[i] ?? ''),
        ),
      })),
      missingValues: [''],
    },
  };
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;
const FIGURE = /^-?\d+(\.\d+)?(e[-+]?\d+)?$/i;

/** What a column holds, by what stands in it. A code or a part is a name, even where it looks like a figure. */
function typeOf(head: string, cells: readonly string[]): 'date' | 'number' | 'string' {
  const filled = cells.filter(cell => cell !== '');
  if (filled.length === 0 || NAMES.has(head)) return 'string';
  if (filled.every(cell => DAY.test(cell))) return 'date';
  return filled.every(cell => FIGURE.test(cell)) ? 'number' : 'string';
}

const NAMES: ReadonlySet<string> = new Set(['code', 'part', 'codes', 'block', 'treatment', 'note']);

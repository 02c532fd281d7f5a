import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { plannedSpec } from '@/core/judge/units/trial-analysis';
import type { FrozenFile } from '@/core/judge/verdict/frozen-file';
import { failure, type Result, success } from '@/core/result';
import { fileName } from '@/core/trial/file-name';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { withoutNames } from '@/core/trial/without-names';
import { CODE_VERSION } from '@/core/version';
import { reportHtml } from '@/print/report/report-html';
import { trialPackage } from '@/service/files/data-package';
import { spreadsheetOf } from '@/service/files/spreadsheet';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { database } from '@/store/connection/database';
import { findTrialData } from '@/store/trials';
import { type FrozenVerdict, findFrozenVerdict } from '@/store/verdicts';
import { reportOf } from './report-content';
import { csvTable, entryRows, unitRows } from './report-rows';

/** What a report can be had as. */
export type ReportForm = 'html' | 'csv' | 'entries' | 'xlsx' | 'package' | 'json' | 'frozen';

export interface ReportFile {
  readonly name: string;
  readonly type: string;
  readonly body: string | Uint8Array<ArrayBuffer>;
}

/** What may be had while the key is shut: codes only. */
const BLIND_FORMS: ReadonlySet<ReportForm> = new Set(['entries', 'xlsx', 'package']);

/**
 * A trial's report, or the data behind it, named for garden, trial and day. Names of people are left out unless they are asked for.
 * Before the key is open only entries are handed out, by their codes: all else tells which unit got what.
 */
export async function reportFile(
  trialId: string,
  form: ReportForm,
  hasNames: boolean,
): Promise<Result<ReportFile, TrialTrouble>> {
  const found = await findTrialData(database(), trialId);
  if (!found) return failure({ kind: 'no-such-trial' });
  if (found.trial.state === 'planned') return failure({ kind: 'not-locked' });
  const isBlind = !isKeyOpen(found.trial);
  if (isBlind && !BLIND_FORMS.has(form)) return failure({ kind: 'key-shut' });
  const data = hasNames ? found : withoutNames(found);
  const { name: garden } = await currentGarden();
  const named = (what: string, ending: string): string =>
    fileName([garden, data.trial.question, what, today()], ending);
  const csv = (what: string, rows: readonly (readonly string[])[]): ReportFile => ({
    name: named(what, 'csv'),
    type: 'text/csv; charset=utf-8',
    body: csvTable(rows),
  });
  switch (form) {
    case 'html':
      return success({
        name: named('report', 'html'),
        type: 'text/html; charset=utf-8',
        body: reportHtml(await reportOf(data), {
          fonts: await reportFonts(),
          data: { name: named('trial', 'json'), json: JSON.stringify(data) },
        }),
      });
    case 'csv':
      return success(csv('units', unitRows(data)));
    case 'entries':
      return success(csv('entries', entryRows(data, isBlind)));
    case 'xlsx':
      return success({
        name: named('entries', 'xlsx'),
        type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        body: await spreadsheetOf(entryRows(data, isBlind)),
      });
    case 'package': {
      const made = await trialPackage(trialId, hasNames);
      if (!made) return failure({ kind: 'no-such-trial' });
      return success({ name: made.name, type: 'application/zip', body: made.zip });
    }
    case 'json':
      return success(jsonFile(named('trial', 'json'), JSON.stringify(data, null, 1)));
    case 'frozen': {
      const frozen = await findFrozenVerdict(database(), trialId);
      if (!frozen) return failure({ kind: 'not-closed' });
      return success(
        jsonFile(named('frozen-verdict', 'json'), JSON.stringify(frozenFileOf(data, frozen))),
      );
    }
  }
}

const FONT_FOLDER = 'node_modules/@fontsource-variable';

/** The fonts that go into a report, base64. */
async function reportFonts(): Promise<{ readonly text: string; readonly heading: string }> {
  const read = (file: string): Promise<string> =>
    readFile(join(process.cwd(), FONT_FOLDER, file), 'base64');
  return {
    text: await read(
      'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    ),
    heading: await read('bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2'),
  };
}

function jsonFile(name: string, body: string): ReportFile {
  return { name, type: 'application/json', body };
}

function frozenFileOf(data: TrialData, frozen: FrozenVerdict): FrozenFile {
  // Judged by its kind, it knows no shuffles.
  const input: Partial<Pick<JudgeInput, 'shuffles' | 'seed' | 'priorCv'>> = JSON.parse(
    frozen.input,
  );
  const planned = plannedSpec(data, STARTING_GUESS_CV);
  const spec = {
    ...planned,
    shuffles: input.shuffles ?? planned.shuffles,
    seed: input.seed ?? planned.seed,
    priorCv: input.priorCv ?? planned.priorCv,
  };
  return {
    format: 'turnspit-frozen',
    version: 1,
    code: CODE_VERSION,
    closedAt: frozen.closedAt,
    data,
    look: spec,
    input,
    judgement: JSON.parse(frozen.judgement),
  };
}

import { CHECK_HELP, checkVerb } from '@/cli/verbs/check-verb';
import { COMBINE_HELP, combineVerb } from '@/cli/verbs/combine-verb';
import { DEPTH_HELP, depthVerb } from '@/cli/verbs/depth-verb';
import { DILUTE_HELP, diluteVerb } from '@/cli/verbs/dilute-verb';
import { DOSE_HELP, doseVerb } from '@/cli/verbs/dose-verb';
import { ETO_HELP, etoVerb } from '@/cli/verbs/eto-verb';
import { FIT_HELP, fitVerb } from '@/cli/verbs/fit-verb';
import { BACKUP_HELP, EXPORT_HELP, IMPORT_HELP, RESTORE_HELP } from '@/cli/verbs/garden-help';
import { GDD_HELP, gddVerb } from '@/cli/verbs/gdd-verb';
import { JUDGE_HELP, judgeVerb } from '@/cli/verbs/judge-verb';
import { EQUAL_HELP, equalVerb, NUTRIENTS_HELP, nutrientsVerb } from '@/cli/verbs/nutrients-verb';
import { POWER_HELP, powerVerb } from '@/cli/verbs/power-verb';
import { QUANTITY_HELP, quantityVerb } from '@/cli/verbs/quantity-verb';
import {
  CURVE_HELP,
  curveVerb,
  EFFICACY_HELP,
  efficacyVerb,
  GERMINATION_HELP,
  germinationVerb,
} from '@/cli/verbs/sums-verbs';
import { PROTOCOL_HELP, RESULTS_HELP, TOGETHER_HELP } from '@/cli/verbs/together-help';
import { protocolVerb, resultsVerb, togetherVerb } from '@/cli/verbs/together-verbs';
import { withNegativeValues } from './negative-values';
import { refuse } from './refuse';

interface Verb {
  readonly run: (args: readonly string[]) => void | Promise<void>;
  readonly help: string;
}

// Only these open the database: the others start without it.
const inGarden =
  (verb: 'backupVerb' | 'exportVerb' | 'importVerb' | 'restoreVerb') =>
  async (args: readonly string[]): Promise<void> =>
    (await import('@/cli/verbs/garden-verbs'))[verb](args);

const VERBS: Readonly<Record<string, Verb>> = {
  backup: { run: inGarden('backupVerb'), help: BACKUP_HELP },
  check: { run: checkVerb, help: CHECK_HELP },
  combine: { run: combineVerb, help: COMBINE_HELP },
  curve: { run: curveVerb, help: CURVE_HELP },
  depth: { run: depthVerb, help: DEPTH_HELP },
  dilute: { run: diluteVerb, help: DILUTE_HELP },
  dose: { run: doseVerb, help: DOSE_HELP },
  efficacy: { run: efficacyVerb, help: EFFICACY_HELP },
  equal: { run: equalVerb, help: EQUAL_HELP },
  eto: { run: etoVerb, help: ETO_HELP },
  export: { run: inGarden('exportVerb'), help: EXPORT_HELP },
  fit: { run: fitVerb, help: FIT_HELP },
  gdd: { run: gddVerb, help: GDD_HELP },
  germination: { run: germinationVerb, help: GERMINATION_HELP },
  import: { run: inGarden('importVerb'), help: IMPORT_HELP },
  judge: { run: judgeVerb, help: JUDGE_HELP },
  nutrients: { run: nutrientsVerb, help: NUTRIENTS_HELP },
  power: { run: powerVerb, help: POWER_HELP },
  protocol: { run: protocolVerb, help: PROTOCOL_HELP },
  quantity: { run: quantityVerb, help: QUANTITY_HELP },
  restore: { run: inGarden('restoreVerb'), help: RESTORE_HELP },
  results: { run: resultsVerb, help: RESULTS_HELP },
  together: { run: togetherVerb, help: TOGETHER_HELP },
};

const USAGE = `Use: turnspit VERB …, or turnspit help VERB. Verbs: ${Object.keys(VERBS).join(', ')}.`;

async function main([name, ...args]: readonly string[]): Promise<void> {
  if (name === undefined || name === 'help' || name === '--help') {
    const verb = args[0] === undefined ? undefined : VERBS[args[0]];
    process.stdout.write(`${verb?.help ?? USAGE}\n`);
    return;
  }
  const verb = Object.hasOwn(VERBS, name) ? VERBS[name] : undefined;
  if (!verb) refuse(`“${name}” is not a verb known here. ${USAGE}`);
  if (args.includes('--help')) process.stdout.write(`${verb.help}\n`);
  else await run(verb, withNegativeValues(args));
}

async function run(verb: Verb, args: readonly string[]): Promise<void> {
  try {
    await verb.run(args);
  } catch (error) {
    // parseArgs throws on an option it does not know: a slip of the person's hand, not a defect.
    if (
      error instanceof TypeError &&
      'code' in error &&
      String(error.code).startsWith('ERR_PARSE_ARGS')
    )
      refuse(error.message.split('\n')[0] ?? USAGE);
    throw error;
  }
}

await main(process.argv.slice(2));

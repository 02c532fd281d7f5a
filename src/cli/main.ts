import { JUDGE_HELP, judgeVerb } from './judge-verb';
import { POWER_HELP, powerVerb } from './power-verb';
import { QUANTITY_HELP, quantityVerb } from './quantity-verb';
import { refuse } from './refuse';

interface Verb {
  readonly run: (args: readonly string[]) => void;
  readonly help: string;
}

const VERBS: Readonly<Record<string, Verb>> = {
  judge: { run: judgeVerb, help: JUDGE_HELP },
  power: { run: powerVerb, help: POWER_HELP },
  quantity: { run: quantityVerb, help: QUANTITY_HELP },
};

const USAGE = `Use: turnspit VERB …, or turnspit help VERB. Verbs: ${Object.keys(VERBS).join(', ')}.`;

function main([name, ...args]: readonly string[]): void {
  if (name === undefined || name === 'help' || name === '--help') {
    const verb = args[0] === undefined ? undefined : VERBS[args[0]];
    process.stdout.write(`${verb?.help ?? USAGE}\n`);
    return;
  }
  const verb = Object.hasOwn(VERBS, name) ? VERBS[name] : undefined;
  if (!verb) refuse(`“${name}” is not a verb known here. ${USAGE}`);
  if (args.includes('--help')) process.stdout.write(`${verb.help}\n`);
  else run(verb, args);
}

function run(verb: Verb, args: readonly string[]): void {
  try {
    verb.run(args);
  } catch (error) {
    // parseArgs throws on an option it does not know: a slip of the person's hand, not a defect.
    if (error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS')) refuse(error.message.split('\n')[0] ?? USAGE);
    throw error;
  }
}

main(process.argv.slice(2));

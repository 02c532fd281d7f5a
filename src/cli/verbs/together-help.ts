export const PROTOCOL_HELP = `turnspit protocol TRIAL.json [--garden NAME] [--person NAME] [--out PLAN.json]
From a locked trial, as “turnspit export” writes it, the plan for other gardens: question, treatments, measures, care and how many
of each. Nothing that was dealt, read or spent is in it, and no name but those given here. Another garden takes it in with
“turnspit import PLAN.json”, or on its page of trials.`;

export const RESULTS_HELP = `turnspit results TRIAL.json --garden NAME [--place TEXT] [--soil TEXT] [--trait NAME=VALUE] [--person NAME --names] [--out FILE]
From a closed trial that was begun from a plan, what goes back to the garden that made the plan.
  --trait  what else tells gardens apart, such as rain=little; may repeat
  --names  names of people stay in; without it they are person 1, person 2`;

export const TOGETHER_HELP = `turnspit together PLAN.json RESULTS.json … [--json]
Several gardens as one answer: random effects by REML, interval of Hartung and Knapp. The same file twice does no harm; of two from
one garden the later counts. A file that does not belong to the plan ends it with its sentence.
  --json  {"gardens":[…],"comparisons":[{"treatment","control","isLine","scale","estimate","se","df","ci","ciAdjusted","prediction","p","tau2",
          "i2","q","qP","call","better","gardens":[…],"byTrait":[…]}],"mixed":{"contrasts":[…],"df","unitSd","gardenSd"},"headline"}
          estimate and se on the logarithm of the ratio where scale is "percent", else in the measure’s unit; ci, ciAdjusted and
          prediction as told; isLine: of a series of doses the largest against the smallest along a line through all; mixed is one model of all units, treatment by garden random, in the measure’s unit`;

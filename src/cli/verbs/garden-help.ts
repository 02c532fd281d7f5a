export const EXPORT_HELP = `turnspit export [TRIAL] [--out FILE.json] [--package FILE.zip] [--no-names] [--json]
Writes one trial whole: plan, layout, every standing entry, care, guesses. Without TRIAL it lists the garden’s trials.
TRIAL is its id, or words that only its question holds. Pictures are not in it; names of people are.
  --package   tables instead, with their description (Frictionless Data Package); without TRIAL those of the whole garden
  --no-names  people are numbers: person 1, person 2
  --json      of the list: [{"id":...,"question":...,"state":...}]`;

export const IMPORT_HELP = `turnspit import FILE.json [--json]
Takes a trial in that “turnspit export” or the report’s “The whole trial” wrote: whole, or not at all. A closed one is judged anew.
A plan that “turnspit protocol” wrote begins a trial of its own here, not dealt yet.
  --json  {"id":...,"question":...}`;

export const BACKUP_HELP = `turnspit backup FOLDER [--json]
Copies the whole garden with its pictures into a new folder. Turnspit may be running.
  --json  {"folder":...}`;

export const RESTORE_HELP = `turnspit restore FOLDER [--replace] [--json]
Puts a backup in the place of the garden. Stop Turnspit first. What stood there is moved aside, not deleted.
  --replace  although a garden stands there
  --json     {"movedAside":...}, null where nothing stood there`;

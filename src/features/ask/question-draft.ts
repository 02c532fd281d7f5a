import { addDays } from '@/core/trial/calendar-day';
import { QuestionForm } from '@/core/trial/question-form';
import type { TrialData } from '@/core/trial/trial-data';

/** An empty question: two treatments, a weight, 15% worth having. */
export function emptyQuestion(today: string): QuestionForm {
  return {
    question: '', crop: '', picked: '', unitWord: 'pot', startsOn: today, endsOn: addDays(today, 90), treatments: [{ name: '' }, { name: '' }], control: 0,
    summary: 'sound-weight', better: 'higher', marginKind: 'percent', margin: '15',
  };
}

/** A trial's question as its form would hold it. */
export function questionFormOf(data: TrialData): QuestionForm {
  const main = data.measures.find(measure => measure.isMain);
  const picked = data.measures.find(measure => measure.summary === 'sound-weight')?.response ?? '';
  const margin = main?.margin ?? null;
  const summary = QuestionForm.shape.summary.safeParse(main?.summary);
  return {
    question: data.trial.question, crop: data.trial.crop, picked, unitWord: data.trial.unitWord, startsOn: data.trial.startsOn, endsOn: data.trial.endsOn,
    treatments: data.treatments.map(({ name }) => ({ name })), control: Math.max(0, data.treatments.findIndex(treatment => treatment.role === 'control')),
    summary: summary.success ? summary.data : 'sound-weight', better: main?.better ?? 'higher',
    marginKind: margin === null ? 'any' : margin.kind === 'percent' ? 'percent' : 'amount',
    margin: margin === null ? '' : margin.kind === 'percent' ? String(margin.percent) : main?.unit === 'g' ? `${margin.amount} g` : String(margin.amount),
  };
}

/** Whether something stored in the browser still is a question's draft, however unfinished. */
export function isQuestionDraft(stored: unknown): stored is QuestionForm {
  if (typeof stored !== 'object' || stored === null) return false;
  const draft: Partial<QuestionForm> = stored;
  return typeof draft.question === 'string' && typeof draft.crop === 'string' && typeof draft.picked === 'string' && typeof draft.unitWord === 'string'
    && typeof draft.startsOn === 'string' && typeof draft.endsOn === 'string' && typeof draft.margin === 'string' && typeof draft.control === 'number'
    && Array.isArray(draft.treatments) && draft.treatments.every(treatment => typeof treatment?.name === 'string')
    && QuestionForm.shape.summary.safeParse(draft.summary).success && QuestionForm.shape.better.safeParse(draft.better).success
    && QuestionForm.shape.marginKind.safeParse(draft.marginKind).success;
}

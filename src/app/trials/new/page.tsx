import type { Metadata } from 'next';
import { AskForm } from '@/features/ask/AskForm';
import { emptyQuestion } from '@/features/ask/question-draft';
import { today } from '@/service/clock';
import { Page } from '@/ui/Page';
import { askAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new question' };

export default function NewTrialPage() {
  return (
    <Page>
      <h1>A new question</h1>
      <AskForm draftKey="turnspit-new-question" saved={emptyQuestion(today())} isLocked={false} bench={null} save={askAction} />
    </Page>
  );
}

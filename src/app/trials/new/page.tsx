import type { Metadata } from 'next';
import { AskForm } from '@/features/ask/AskForm';
import { PatternList } from '@/features/ask/PatternList';
import { emptyQuestion } from '@/features/ask/question-draft';
import { questionPattern } from '@/core/trial/question-patterns';
import { today } from '@/service/clock';
import { Page, Soft } from '@/ui/Page';
import { askAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new question' };

export default async function NewTrialPage({ searchParams }: { readonly searchParams: Promise<{ readonly from?: string | readonly string[] }> }) {
  const { from } = await searchParams;
  const pattern = questionPattern(typeof from === 'string' ? from : null);
  if (from === undefined || (!pattern && from !== 'scratch')) {
    return (
      <Page>
        <h1>What do you want to know?</h1>
        <Soft>Begin from the question that is most like yours. It sets up what is compared, how it is laid out and how long it runs; all of it can be changed.</Soft>
        <PatternList />
      </Page>
    );
  }
  return (
    <Page>
      <h1>{pattern ? pattern.asks : 'A new question'}</h1>
      {pattern && <Soft>{pattern.makes}</Soft>}
      <AskForm draftKey={`turnspit-new-question-${pattern?.id ?? 'scratch'}`} saved={emptyQuestion(today(), pattern)} isLocked={false} bench={null} save={askAction} />
    </Page>
  );
}

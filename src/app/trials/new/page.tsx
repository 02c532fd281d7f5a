import type { Metadata } from 'next';
import { questionPattern } from '@/core/design/question/question-patterns';
import { AskForm } from '@/features/ask/AskForm';
import { PatternList } from '@/features/ask/PatternList';
import { emptyQuestion, nextQuestionOf } from '@/features/ask/question-draft';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { earlierTrial } from '@/service/trial/earlier-trial';
import { Page, Soft } from '@/ui/Page';
import { askAction } from './actions';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new question' };

interface NewTrialPageProps {
  readonly searchParams: Promise<{
    readonly from?: string | readonly string[];
    readonly after?: string | readonly string[];
  }>;
}

export default async function NewTrialPage({ searchParams }: NewTrialPageProps) {
  const { from, after } = await searchParams;
  const earlier = await earlierTrial(after);
  if (earlier) return <NextTrial {...earlier} />;
  const pattern = questionPattern(typeof from === 'string' ? from : null);
  if (from === undefined || (!pattern && from !== 'scratch')) return <ChoosePattern />;
  return (
    <Page>
      <h1>{pattern ? pattern.asks : 'A new question'}</h1>
      {pattern && <Soft>{pattern.makes}</Soft>}
      <AskForm
        draftKey={`turnspit-new-question-${pattern?.id ?? 'scratch'}`}
        saved={emptyQuestion(today(), pattern)}
        isLocked={false}
        bench={null}
        save={askAction}
      />
    </Page>
  );
}

type EarlierTrial = NonNullable<Awaited<ReturnType<typeof earlierTrial>>>;

async function NextTrial({ data, lessons }: EarlierTrial) {
  const { system } = await currentGarden();
  return (
    <Page>
      <h1>The next one, from what was learnt</h1>
      <Soft>
        The same definitions, smallest difference worth having and rules as “{data.trial.question}”.
        Change one thing at a time: what changes in two can’t be told apart.
      </Soft>
      {lessons.length > 0 && (
        <ul>
          {lessons.map(lesson => (
            <li key={lesson}>{lesson}</li>
          ))}
        </ul>
      )}
      <AskForm
        draftKey={`turnspit-next-${data.trial.id}`}
        saved={nextQuestionOf(data, today(), system)}
        isLocked={false}
        bench={null}
        save={askAction}
      />
    </Page>
  );
}

function ChoosePattern() {
  return (
    <Page>
      <h1>What do you want to know?</h1>
      <Soft>
        Begin from the question that is most like yours. It sets up what is compared, how it is laid
        out and how long it runs; all of it can be changed.
      </Soft>
      <PatternList />
    </Page>
  );
}

import { Today } from '@/features/today/Today';
import { today } from '@/service/garden/clock';
import { seenShelf } from '@/service/garden/shelf';
import { recentWeather } from '@/service/garden/weather';
import { listDue } from '@/service/tend/today';
import { listBroken, listTrials } from '@/service/trial/trials';
import { lookIntoBottlesAction, tickAction, untickAction } from './trials/[trialId]/tend/actions';

export const dynamic = 'force-dynamic';

export default async function TodayPage() {
  return (
    <Today
      summaries={(await listTrials()).filter(summary => !summary.isPutAway)}
      broken={await listBroken()}
      brokenProducts={(await seenShelf()).broken}
      today={today()}
      due={await listDue()}
      weather={(await recentWeather(2)).at(-1)}
      tick={tickAction}
      untick={untickAction}
      lookIntoBottles={lookIntoBottlesAction}
    />
  );
}

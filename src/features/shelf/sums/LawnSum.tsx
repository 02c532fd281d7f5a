'use client';
import { figures } from '@/core/materials/amount-words';
import { daysToCut, feedWithClippings, lowestCut } from '@/core/schedule/rules/lawn';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';
import { readNumber } from './read-amount';
import { Sum } from './Sum';

/** When a lawn wants cutting, how low, and what it needs where its clippings stay. */
export function LawnSum() {
  const { form, field } = useForm({ cutTo: '35', grows: '3', stands: '', feed: '' });
  const { cutTo, grows, stands, feed } = form;
  const [c, g, s, f] = [
    readNumber(cutTo, 5, 200),
    readNumber(grows, 0.1, 50),
    readNumber(stands, 5, 1000),
    readNumber(feed, 0.1, 100),
  ];
  return (
    <Sum
      title="A lawn"
      lead="Never more than a third of the leaf at once: a lawn cut lower starves its roots, whatever it is fed."
    >
      <div data-fields>
        <TextField label="Cut to, mm" {...field('cutTo')} trouble={c.trouble} inputMode="numeric" />
        <TextField
          label="Grows a day, mm"
          {...field('grows')}
          trouble={g.trouble}
          inputMode="decimal"
        />
        <TextField
          label="Stands now at, mm"
          {...field('stands')}
          trouble={s.trouble}
          inputMode="numeric"
        />
        <TextField
          label="Nitrogen a year, g a m²"
          {...field('feed')}
          trouble={f.trouble}
          inputMode="decimal"
        />
      </div>
      {c.base !== undefined && g.base !== undefined && (
        <output>every {figures(daysToCut(c.base, g.base))} days</output>
      )}
      {s.base !== undefined && (
        <p>
          From {figures(s.base)} mm cut it to {figures(lowestCut(s.base))} mm at the lowest, and
          lower a few days later.
        </p>
      )}
      {f.base !== undefined && (
        <p>
          Where the clippings stay, {figures(feedWithClippings(f.base))} g or less will do. One half
          bagged and one half mulched differ by that, too.
        </p>
      )}
    </Sum>
  );
}

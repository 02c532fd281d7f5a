'use client';

import { useMemo, useState } from 'react';
import { styled } from 'styled-components';
import { eyeError, eyeErrorWords, practiceLeaves } from '@/core/image/practice-leaf';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { TextField } from '@/ui/fields/TextField';
import { useFirstWrong } from '@/ui/fields/use-first-wrong';
import { Acts, Soft } from '@/ui/Page';
import { LeafDrawing } from './LeafDrawing';

interface PracticeEyeProps {
  /** Of the first leaves, a whole number; the next ones follow from it. */
  readonly seed: number;
}

/** Drawn leaves with a known share of spots: how far one's eye is from it, before plants are read. */
export function PracticeEye({ seed }: PracticeEyeProps) {
  const [round, setRound] = useState(0);
  const leaves = useMemo(() => practiceLeaves(seed + round), [seed, round]);
  const [said, setSaid] = useState<readonly number[]>([]);
  const [text, setText] = useState('');
  const [refused, setRefused] = useState<{ readonly why: string }>();
  const keepHand = useFirstWrong(refused);
  const leaf = leaves[said.length];
  const last = leaves[said.length - 1];
  const take = (): void => {
    const value = Number(text.replace('%', '').replace(',', '.').trim());
    if (text.trim() === '' || !(value >= 0 && value <= 100)) {
      keepHand();
      setRefused({ why: 'Write a percent from 0 to 100.' });
      return;
    }
    setSaid([...said, value]);
    setText('');
    setRefused(undefined);
  };
  const error = eyeError(
    said.map((value, i) => ({ said: value, percent: leaves[i]?.percent ?? 0 })),
  );
  return (
    <Box title="Practise your eye on drawn leaves" tone="soft">
      <Soft>
        How much of the leaf is spots? Eight leaves; each is told as soon as you have said it.
      </Soft>
      {leaf ? (
        <form
          method="dialog"
          onSubmit={event => {
            event.preventDefault();
            take();
          }}
        >
          <LeafDrawing leaf={leaf} label={`Leaf ${said.length + 1} of ${leaves.length}`} />
          <TextField
            label="Spots, percent of the leaf"
            name="practiceSpots"
            inputMode="decimal"
            value={text}
            onChange={setText}
            trouble={refused?.why}
          />
          <Acts>
            <Button type="submit">That much</Button>
          </Acts>
        </form>
      ) : (
        <Acts>
          <Button
            onPress={() => {
              setRound(now => now + 1);
              setSaid([]);
            }}
          >
            Eight others
          </Button>
        </Acts>
      )}
      <p role="status">
        {last && `You said ${said.at(-1)}%, it is ${Number(last.percent.toPrecision(2))}%. `}
        {!leaf && error && eyeErrorWords(error)}
      </p>
    </Box>
  );
}

const Box = styled(Fold)`
  form { display: grid; gap: 12px; max-width: 360px; margin-top: 12px; }
  svg { width: 100%; max-width: 320px; }
  & > p[role='status'] { margin-top: 12px; }
`;

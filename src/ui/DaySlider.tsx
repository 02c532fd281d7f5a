'use client';

import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import { styled } from 'styled-components';

interface DaySliderProps {
  readonly label: string;
  readonly lengthDays: number;
  readonly value: number;
  readonly onChange: (day: number) => void;
  /** What is read out of a day. */
  readonly words: string;
}

/** A day on a line of days, chosen by mouse, finger or arrows. */
export function DaySlider({ label, lengthDays, value, onChange, words }: DaySliderProps) {
  return (
    <Line
      aria-label={label}
      minValue={0}
      maxValue={lengthDays}
      value={value}
      onChange={day => typeof day === 'number' && onChange(day)}
    >
      <SliderTrack>
        <SliderThumb aria-valuetext={words} />
      </SliderTrack>
    </Line>
  );
}

const Line = styled(Slider)`
  position: absolute; inset: 0;
  & .react-aria-SliderTrack { height: 100%; cursor: pointer; touch-action: pan-y; }
  & .react-aria-SliderThumb { top: 100%; width: 24px; height: 24px; background: var(--paper); border: 3px solid var(--clay); border-radius: 50%; cursor: grab; }
  & .react-aria-SliderThumb[data-dragging] { cursor: grabbing; background: var(--clay); }
  & .react-aria-SliderThumb[data-focus-visible] { outline: 3px solid var(--clay); outline-offset: 2px; }
`;

import { Slider } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface SlideProps {
  /** What is set, with its value. */
  readonly label: ReactNode;
  readonly value: number;
  readonly min?: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** A value set by sliding, or by the arrow keys. */
export const Slide = ({ label, value, min = 0, max, step, onChange }: SlideProps) => {
  const id = useId();
  return (
    <div className="text-[13px]">
      <span id={id}>{label}</span>
      <Slider.Root
        value={[value]}
        min={min}
        max={max}
        step={step}
        onValueChange={([next]) => onChange(next ?? value)}
        className="relative flex h-7 w-full touch-none items-center select-none"
      >
        <Slider.Track className="relative h-[3px] grow bg-line">
          <Slider.Range className="absolute h-full bg-ink" />
        </Slider.Track>
        <Slider.Thumb
          aria-labelledby={id}
          className="block h-5 w-2.5 rounded-[2px] border border-ink bg-sheet hover:bg-paper"
        />
      </Slider.Root>
    </div>
  );
};

import type { ReactNode } from 'react';
import { Hint } from '../ui/hint';

interface RoomButtonProps {
  readonly pressed?: boolean;
  readonly label: string;
  readonly onClick: () => void;
  readonly children: ReactNode;
}

/** A button in the dark of the lamp room. */
export const RoomButton = ({ pressed, label, onClick, children }: RoomButtonProps) => (
  <Hint says={label}>
    <button
      type="button"
      aria-pressed={pressed}
      aria-label={label}
      onClick={onClick}
      className="flex min-h-6 items-center rounded-[2px] bg-black/55 px-1.5 text-[13px] whitespace-nowrap text-[#f2ead8] hover:bg-black/80 aria-pressed:bg-[#f2ead8] aria-pressed:text-black"
    >
      {children}
    </button>
  </Hint>
);

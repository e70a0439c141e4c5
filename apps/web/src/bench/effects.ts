import type { BenchSetting } from '@vitrum/core';

/** What a controller does by itself. */
export type Effect = 'steady' | 'breathe' | 'colours';

export const effects: readonly { readonly value: Effect; readonly label: string; readonly needs: number }[] = [
  { value: 'steady', label: 'steady', needs: 1 },
  { value: 'breathe', label: 'breathe', needs: 1 },
  { value: 'colours', label: 'walk through the colours', needs: 2 },
];

/** Ticks from dim to full. */
const breath = 5;
const dimmest = 0.2;

/** The controller’s setting at a tick of an effect. */
export const effectAt = (effect: Effect, tick: number, channels: number): Partial<BenchSetting> => {
  if (effect === 'steady') return {};
  if (effect === 'colours') return { channel: tick % channels };
  const place = tick % (2 * breath);
  const share = (place <= breath ? place : 2 * breath - place) / breath;
  return { level: Math.round(100 * (dimmest + (1 - dimmest) * share)) / 100 };
};

import type { SweepEvent, SweepPointView, SweepView } from '@vitrum/contract';
import type { Design, SweepAxes, TryPoint } from '@vitrum/core';
import { request } from '../api/client';

/** Sweeps on the server, as the page uses them; tests bring a stand-in. */
export interface Remote {
  readonly start: (design: Design, plan: SweepAxes) => Promise<SweepView>;
  /** Hears a sweep from its beginning; a lost line is taken up again where it was. Returns what stops it. */
  readonly follow: (id: string, hear: (event: SweepEvent) => void) => () => void;
  readonly stop: (id: string) => Promise<unknown>;
}

/** A point as it came over the wire, its picture in pixels again. */
export const pointFromWire = ({ picture, ...point }: SweepPointView): TryPoint => ({
  ...point,
  picture: {
    width: picture.width,
    height: picture.height,
    data: Uint8ClampedArray.from(atob(picture.base64), (character) => character.charCodeAt(0)),
  },
});

/** Through the API and server-sent events. */
export const serverSweeps: Remote = {
  start: (design, plan) => request('/sweeps', { method: 'POST', body: JSON.stringify({ design, plan }) }),
  follow: (id, hear) => {
    const source = new EventSource(`/api/sweeps/${id}/events`);
    source.onmessage = ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as SweepEvent);
    return () => source.close();
  },
  stop: (id) => request(`/sweeps/${id}`, { method: 'DELETE' }),
};

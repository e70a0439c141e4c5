import { benchDesign, type BenchSetting, type Catalogue, type Evaluation } from '@vitrum/core';
import { create } from 'zustand';
import { workers, type LightClient } from '../workers/clients';

interface BenchState {
  /** Set while the bench drives the lit view. */
  readonly setting: BenchSetting | null;
  readonly switchedOn: boolean;
  /** The sign as set, once it is worked out. */
  readonly evaluation: Evaluation | null;
}

const asDesigned: BenchSetting = { segments: null, channel: null, level: 1, pixels: null };

const away: BenchState = { setting: null, switchedOn: true, evaluation: null };

export const useBench = create<BenchState>(() => away);

/** Joins the bench’s controller to a thread that lights the sign as it is set. Only the newest setting counts. */
export const connectBench = (client: LightClient) => {
  let callOff: () => void = () => undefined;
  return {
    open: (catalogue: Catalogue): void => client.setUp('catalogue', { kind: 'open', catalogue }),
    /** Sets the controller; what is left out stays as it was. */
    set: (evaluation: Evaluation, change: Partial<BenchSetting>): void => {
      const setting = { ...(useBench.getState().setting ?? asDesigned), ...change };
      useBench.setState({ setting });
      const { channels, segments } = evaluation.circuit;
      callOff = client.ask({
        request: { kind: 'evaluate', design: benchDesign(evaluation.design, channels, segments, setting) },
        lane: 'setting',
        evenIfLate: true,
        hear: (reply) => {
          if (reply.kind === 'evaluated') useBench.setState({ evaluation: reply.evaluation });
        },
        fail: () => undefined,
      });
    },
    switch: (switchedOn: boolean): void => useBench.setState({ switchedOn }),
    /** Gives the lit view back to the design. */
    leave: (): void => {
      callOff();
      useBench.setState(away);
    },
  };
};

export type BenchLink = ReturnType<typeof connectBench>;

/** The page’s one bench; its thread starts with the first setting. */
export const benchLink: BenchLink = connectBench(workers.bench);

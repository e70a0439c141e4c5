import { answerPlan, type PlanRequest } from '@vitrum/core';

self.onmessage = ({ data }: MessageEvent<PlanRequest>): void => {
  self.postMessage(answerPlan(data));
};

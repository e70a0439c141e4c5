import type { FaultReply, FaultRequest, PlanReply, PlanRequest, SessionReply, SessionRequest } from '@vitrum/core';
import { meaningOfCircuit, meaningOfLight, meaningOfPhoto, meaningOfPicture, meaningOfPlan } from './meanings';
import type { PictureReply, PictureRequest } from './picture-protocol';
import type { PhotoReply, PhotoRequest } from './photo-protocol';
import type { WorkerClient } from './protocol';
import { createWorkerClient } from './worker-client';

export type LightClient = WorkerClient<SessionRequest, SessionReply>;
export type CircuitClient = WorkerClient<FaultRequest, FaultReply>;
export type PlanClient = WorkerClient<PlanRequest, PlanReply>;
export type PhotoClient = WorkerClient<PhotoRequest, PhotoReply>;
export type PictureClient = WorkerClient<PictureRequest, PictureReply>;

/** A page that comes back this soon finds its thread warm. */
const lingerMs = 5000;

const startLight = (name: string) => () => new Worker(new URL('./light.ts', import.meta.url), { type: 'module', name });

const startCircuit = (name: string) => () =>
  new Worker(new URL('./circuit.ts', import.meta.url), { type: 'module', name });

/** A thread of light that is asked again and again, and called off by a message. */
const lasting = (name: string): LightClient =>
  createWorkerClient<SessionRequest, SessionReply>({
    start: startLight(name),
    meaningOf: meaningOfLight,
    callingOff: (id) => ({ kind: 'cancel', id }),
    lingerMs,
  });

/** A thread of light for one piece of work; it ends with it, and at once when it is called off. */
const passing = (name: string): LightClient =>
  createWorkerClient<SessionRequest, SessionReply>({
    start: startLight(name),
    meaningOf: meaningOfLight,
    callingOff: 'ending',
  });

const circuit = (name: string): CircuitClient =>
  createWorkerClient<FaultRequest, FaultReply>({
    start: startCircuit(name),
    meaningOf: meaningOfCircuit,
    callingOff: 'silence',
    lingerMs,
  });

const pictures = (name: string): PictureClient =>
  createWorkerClient<PictureRequest, PictureReply>({
    start: () => new Worker(new URL('./picture.ts', import.meta.url), { type: 'module', name }),
    meaningOf: meaningOfPicture,
    callingOff: 'silence',
    lingerMs,
  });

const plans = (name: string): PlanClient =>
  createWorkerClient<PlanRequest, PlanReply>({
    start: () => new Worker(new URL('./plan.ts', import.meta.url), { type: 'module', name }),
    meaningOf: meaningOfPlan,
    callingOff: 'silence',
    lingerMs,
  });

const photos = (name: string): PhotoClient =>
  createWorkerClient<PhotoRequest, PhotoReply>({
    start: () => new Worker(new URL('./photo.ts', import.meta.url), { type: 'module', name }),
    meaningOf: meaningOfPhoto,
    callingOff: 'silence',
    lingerMs,
  });

/** Every thread that the page may have, by what it is for; none runs before it is asked. */
export const workers = {
  evaluation: lasting('evaluation'),
  tryOuts: lasting('try-outs'),
  bench: lasting('bench'),
  files: passing('files'),
  choosing: passing('choosing'),
  intake: passing('intake'),
  pictures: pictures('pictures'),
  photo: photos('photo'),
  plan: plans('plan'),
  practice: circuit('practice'),
  meter: circuit('meter'),
  faultFinder: circuit('fault finder'),
};

import type { PlanPaper, PlanView, Versioned } from '@vitrum/contract';
import type { Floor } from '@vitrum/core';
import { request } from './client';

const kept = (version: number, paper: object): RequestInit => ({
  method: 'PUT',
  headers: { 'if-match': `"${version}"` },
  body: JSON.stringify(paper),
});

export const getPlan = (): Promise<PlanView> => request('/plan');

/** Keeps a plan that was made from the version `basedOn`; throws `ApiError` 409 where somebody kept another. */
export const keepPlan = (paper: PlanPaper, basedOn: number): Promise<Versioned<PlanPaper>> =>
  request('/plan', kept(basedOn, paper));

/** The same for the hours of the shop. */
export const keepFloor = (floor: Floor, basedOn: number): Promise<Versioned<Floor>> =>
  request('/plan/floor', kept(basedOn, floor));

import type { JobListing, JobView, RevisionView, RevisionWithDesign, UpdateJobDto } from '@vitrum/contract';
import type { Catalogue, Design, JobStatus, MeasurableKind, MeasuredFigures } from '@vitrum/core';
import { ask, request } from './client';

const json = (body: unknown): string => JSON.stringify(body);

/** A page of the job book, and where the next is. */
export interface JobsPage {
  readonly jobs: readonly JobListing[];
  readonly next: string | null;
}

/** The first page of jobs, or that which a page before names. */
export const listJobs = async (at: string | null = null): Promise<JobsPage> => {
  const { body, headers } = await ask<readonly JobListing[]>(at ?? '/jobs');
  const next = /<\/api([^>]+)>; rel="next"/.exec(headers.get('link') ?? '')?.[1] ?? null;
  return { jobs: body, next };
};

export const getJob = (id: string): Promise<JobView> => request(`/jobs/${id}`);

export const createJob = (name: string, design: Design): Promise<JobView> =>
  request('/jobs', { method: 'POST', body: json({ name, design }) });

/** A new job of the same design. */
export const copyJob = (id: string, name: string): Promise<JobView> =>
  request(`/jobs/${id}/copies`, { method: 'POST', body: json({ name }) });

/** Changes what a job has beside its design. */
export const updateJob = (id: string, change: UpdateJobDto): Promise<JobView> =>
  request(`/jobs/${id}`, { method: 'PATCH', body: json(change) });

export const setStatus = (id: string, status: JobStatus): Promise<JobView> => updateJob(id, { status });

/** The most that a browser sends for a page that is going (bytes); the rest of what it may send is other pages’. */
const mostOnLeavingBytes = 60_000;

/**
 * Saves a design made from the revision whose hash is `basedOn`. On leaving it is sent even if the page goes before the
 * answer comes, where it is small enough.
 */
export const saveDesign = (id: string, design: Design, basedOn: string, leaving = false): Promise<RevisionView> => {
  const body = json({ design });
  const keepalive = leaving && new Blob([body]).size <= mostOnLeavingBytes;
  return request(`/jobs/${id}/design`, { method: 'PUT', headers: { 'If-Match': `"${basedOn}"` }, body, keepalive });
};

export const listRevisions = (id: string): Promise<readonly RevisionView[]> => request(`/jobs/${id}/revisions`);

export const getRevision = (id: string, number: number): Promise<RevisionWithDesign> =>
  request(`/jobs/${id}/revisions/${number}`);

export const getCatalogue = (): Promise<Catalogue> => request('/catalogue');

interface MeasuredRequest {
  readonly figures: MeasuredFigures;
  readonly on: string;
  readonly how: string;
  readonly readings: number;
  readonly errorShare: number;
}

/** Puts the shop’s own readings in place of an item’s typical figures. */
export const putMeasured = (kind: MeasurableKind, id: string, measured: MeasuredRequest): Promise<unknown> =>
  request(`/catalogue/${kind}/${id}/measured`, { method: 'PUT', body: json(measured) });

export const forgetMeasured = (kind: MeasurableKind, id: string): Promise<unknown> =>
  request(`/catalogue/${kind}/${id}/measured`, { method: 'DELETE' });

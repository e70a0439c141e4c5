import type { JobListing, JobView, RevisionView, RevisionWithDesign } from '@vitrum/contract';
import type { Catalogue, Design, JobStatus } from '@vitrum/core';
export declare const listJobs: () => Promise<readonly JobListing[]>;
export declare const getJob: (id: string) => Promise<JobView>;
export declare const createJob: (name: string, design: Design) => Promise<JobView>;
export declare const setStatus: (id: string, status: JobStatus) => Promise<JobView>;
/** Saves a design made from the revision whose hash is `basedOn`. */
export declare const saveDesign: (id: string, design: Design, basedOn: string) => Promise<RevisionWithDesign>;
export declare const listRevisions: (id: string) => Promise<readonly RevisionView[]>;
export declare const getRevision: (id: string, number: number) => Promise<RevisionWithDesign>;
export declare const getCatalogue: () => Promise<Catalogue>;

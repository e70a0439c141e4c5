import type { LogEntryView, LogView } from '@vitrum/contract';
import type { LogEntry } from '@vitrum/core';
import { request } from './client';

export const readLog = (jobId: string, after: number): Promise<LogView> =>
  request(`/bench/${jobId}/log?after=${after}`);

export const addToLog = (jobId: string, entries: readonly LogEntry[]): Promise<readonly LogEntryView[]> =>
  request(`/bench/${jobId}/log`, { method: 'POST', body: JSON.stringify({ entries }) });

export const sendPhoto = (jobId: string, id: string, photo: Blob): Promise<void> =>
  request(`/bench/${jobId}/photos/${id}`, { method: 'PUT', body: photo, headers: { 'content-type': photo.type } });

/** Where a photograph of the bench is seen. */
export const photoAddress = (jobId: string, id: string): string => `/api/bench/${jobId}/photos/${id}`;

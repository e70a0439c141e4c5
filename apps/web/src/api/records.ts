import type { RecordsView } from '@vitrum/contract';
import type { Lesson, WorkPhase } from '@vitrum/core';
import { request } from './client';

const put = (path: string, body: object): Promise<RecordsView> =>
  request(path, { method: 'PUT', body: JSON.stringify(body) });

export const getRecords = (): Promise<RecordsView> => request('/records');

export const acceptTime = (phase: WorkPhase, factor: number | null): Promise<RecordsView> =>
  put(`/records/times/${phase}`, { factor });

export const acceptStrip = (stripId: string, wattsPerM: number): Promise<RecordsView> =>
  put(`/records/strips/${stripId}`, { wattsPerM });

export const getLessons = (): Promise<readonly Lesson[]> => request('/lessons');

export const keepLesson = (lesson: Omit<Lesson, 'madeAt'>): Promise<Lesson> =>
  request('/lessons', { method: 'POST', body: JSON.stringify(lesson) });

export const retireLesson = (id: string): Promise<void> => request(`/lessons/${id}/retire`, { method: 'POST' });

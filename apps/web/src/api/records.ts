import type { RecordsView, StripView } from '@vitrum/contract';
import type { Lesson, WorkPhase } from '@vitrum/core';
import { request } from './client';

const put = (path: string, body: object): Promise<RecordsView> =>
  request(path, { method: 'PUT', body: JSON.stringify(body) });

export const getRecords = (): Promise<RecordsView> => request('/records');

export const acceptTime = (phase: WorkPhase, factor: number | null): Promise<RecordsView> =>
  put(`/records/times/${phase}`, { factor });

export const acceptStrip = ({
  stripId,
  figure,
  then,
}: Pick<StripView, 'stripId' | 'figure' | 'then'>): Promise<RecordsView> =>
  put(`/records/strips/${stripId}`, { figure, value: then });

export const getLessons = (): Promise<readonly Lesson[]> => request('/lessons');

export const keepLesson = (lesson: Omit<Lesson, 'madeAt'>): Promise<Lesson> =>
  request('/lessons', { method: 'POST', body: JSON.stringify(lesson) });

export const retireLesson = (id: string): Promise<void> => request(`/lessons/${id}/retire`, { method: 'POST' });

import { catalogueKinds, isDay, jobStatuses, lessonSubjects, logWhats } from '@vitrum/core';
import { stockWhats } from '@vitrum/contract';
import { isUUID } from 'class-validator';
import {
  benchEntries,
  benchPhotos,
  catalogueItems,
  jobs,
  lessons,
  quoteAnswers,
  quotes,
  revisions,
  shopPapers,
  stockClaims,
  stockEntries,
  stockLots,
  wallPhotos,
} from '../database/schema.js';

/** What a field of a line holds. Times go out as ISO text. */
export type FieldKind = 'bytes' | 'uuid' | 'text' | 'count' | 'number' | 'bool' | 'day' | 'time' | 'json' | 'ids';

export interface FieldSpec {
  readonly kind: FieldKind;
  readonly nullable?: true;
  readonly oneOf?: readonly string[];
  /** What it is taken for in a file of before there was such a field; left out where every file has it. */
  readonly whenAbsent?: unknown;
}

const uuid: FieldSpec = { kind: 'uuid' };
const text: FieldSpec = { kind: 'text' };
const count: FieldSpec = { kind: 'count' };
const number: FieldSpec = { kind: 'number' };
const bool: FieldSpec = { kind: 'bool' };
const time: FieldSpec = { kind: 'time' };
const json: FieldSpec = { kind: 'json' };
const orNull = (spec: FieldSpec): FieldSpec => ({ ...spec, nullable: true });
const day: FieldSpec = { kind: 'day', nullable: true };
const form: FieldSpec = { kind: 'text', oneOf: ['lengths', 'sheets', 'amount'] };
const what: FieldSpec = { kind: 'text', oneOf: stockWhats };

/** Every table of the shop’s file in the order in which it is read back, with its fields. Pictures and sums are worked out again. */
export const shopTables = {
  catalogueItems: {
    table: catalogueItems,
    fields: {
      kind: { kind: 'text', oneOf: [...catalogueKinds, 'rates'] } as FieldSpec,
      id: text,
      place: count,
      data: json,
      version: count,
    },
  },
  jobs: {
    table: jobs,
    fields: {
      id: uuid,
      name: text,
      customer: text,
      status: { kind: 'text', oneOf: jobStatuses } as FieldSpec,
      dueOn: day,
      archived: bool,
      template: bool,
      handedOverOn: { ...day, whenAbsent: null } as FieldSpec,
      cared: { ...json, whenAbsent: {} } as FieldSpec,
      headRevision: count,
      createdAt: time,
      updatedAt: time,
    },
  },
  revisions: {
    table: revisions,
    fields: {
      id: uuid,
      jobId: uuid,
      number: count,
      parent: orNull(count),
      hash: text,
      design: json,
      note: text,
      setAside: bool,
      items: { kind: 'ids', nullable: true } as FieldSpec,
      createdAt: time,
    },
  },
  quotes: {
    table: quotes,
    fields: {
      id: uuid,
      token: text,
      jobId: uuid,
      revision: count,
      facts: json,
      terms: json,
      day: { kind: 'bytes' } as FieldSpec,
      night: { kind: 'bytes' } as FieldSpec,
      wallDay: { kind: 'bytes', nullable: true, whenAbsent: null } as FieldSpec,
      wallNight: { kind: 'bytes', nullable: true, whenAbsent: null } as FieldSpec,
      madeAt: time,
      validUntil: { kind: 'day' } as FieldSpec,
      withdrawn: bool,
    },
  },
  wallPhotos: {
    table: wallPhotos,
    fields: {
      jobId: uuid,
      photo: { kind: 'bytes' } as FieldSpec,
      width: count,
      height: count,
      setup: orNull(json),
      changedAt: time,
    },
  },
  quoteAnswers: {
    table: quoteAnswers,
    fields: {
      id: uuid,
      quoteId: uuid,
      what: { kind: 'text', oneOf: ['yes', 'remark'] } as FieldSpec,
      name: text,
      remark: text,
      at: time,
    },
  },
  benchPhotos: {
    table: benchPhotos,
    fields: {
      id: uuid,
      jobId: uuid,
      type: { kind: 'text', oneOf: ['image/jpeg', 'image/png'] } as FieldSpec,
      bytes: { kind: 'bytes' } as FieldSpec,
    },
  },
  benchEntries: {
    table: benchEntries,
    fields: {
      id: uuid,
      jobId: uuid,
      stepId: orNull(text),
      what: { kind: 'text', oneOf: logWhats } as FieldSpec,
      by: text,
      at: time,
      value: orNull(number),
      words: text,
      of: orNull(uuid),
    },
  },
  lessons: {
    table: lessons,
    fields: {
      id: uuid,
      about: { kind: 'text', oneOf: lessonSubjects } as FieldSpec,
      key: text,
      words: text,
      by: text,
      jobId: orNull(uuid),
      madeAt: time,
      retired: bool,
    },
  },
  stockLots: {
    table: stockLots,
    fields: {
      id: uuid,
      kind: { kind: 'text', oneOf: catalogueKinds } as FieldSpec,
      lineId: text,
      form,
      amount: number,
      widthMm: orNull(number),
      heightMm: orNull(number),
      openedOn: day,
      madeAt: time,
    },
  },
  stockEntries: {
    table: stockEntries,
    fields: {
      op: uuid,
      place: count,
      what,
      lotId: orNull(uuid),
      delta: number,
      jobId: orNull(uuid),
      note: text,
      at: time,
    },
  },
  stockClaims: { table: stockClaims, fields: { jobId: uuid, needs: json, claimedAt: time } },
  shopPapers: {
    table: shopPapers,
    fields: {
      name: { kind: 'text', oneOf: ['plan', 'floor'] } as FieldSpec,
      version: count,
      data: json,
      changedAt: time,
    },
  },
} as const;

export type ShopTable = keyof typeof shopTables;
export const shopTableNames = Object.keys(shopTables) as readonly ShopTable[];

const longestText = 4000;
const isWords = (value: unknown): value is string =>
  typeof value === 'string' && value.length <= longestText && !/\u0000|[\ud800-\udfff]/u.test(value);

/** A picture of a quote or a photograph, in base64. */
const longestBytes = 7_000_000;

const fits: Readonly<Record<FieldKind, (value: unknown) => boolean>> = {
  bytes: (value) => typeof value === 'string' && value.length <= longestBytes && /^[A-Za-z0-9+/]*={0,2}$/.test(value),
  uuid: (value) => isUUID(value),
  text: isWords,
  count: (value) => Number.isInteger(value) && Number(value) >= 0 && Number(value) < 2 ** 31,
  number: (value) => Number.isFinite(value) && Math.abs(Number(value)) < 1e12,
  bool: (value) => typeof value === 'boolean',
  day: isDay,
  time: (value) => typeof value === 'string' && /^\d{4}-\d{2}-\d{2}T/.test(value) && !Number.isNaN(Date.parse(value)),
  json: (value) => typeof value === 'object' && value !== null,
  ids: (value) => Array.isArray(value) && value.length <= 2000 && value.every(isWords),
};
const words: Readonly<Record<FieldKind, string>> = {
  bytes: 'bytes in base64',
  uuid: 'an id',
  text: 'text that can be kept',
  count: 'a whole number from 0',
  number: 'a number',
  bool: 'true or false',
  day: 'a day such as 2030-01-31',
  time: 'a time such as 2030-01-31T09:15:00Z',
  json: 'an object or a list',
  ids: 'a list of ids',
};

/** What is wrong with a field, in words; null where it is sound. */
export const fieldProblem = ({ kind, nullable, oneOf }: FieldSpec, value: unknown): string | null => {
  if (value === null && nullable === true) return null;
  if (!fits[kind](value)) return `not ${words[kind]}`;
  return oneOf === undefined || oneOf.includes(value as string) ? null : `not one of ${oneOf.join(', ')}`;
};

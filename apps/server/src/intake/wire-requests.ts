import 'reflect-metadata';
import { CreateJobDto, SaveDesignDto, SweepRequestDto } from '@vitrum/contract';
import { checkAxes, sweepSize, type Problem, type SweepAxes } from '@vitrum/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { problemsOf } from '../common/problems.js';
import { textShapeProblem } from './scan-shape.js';
import { readWireDesign, storedForm, type CheckedDesign, type Taken } from './check-design.js';

/** A new job as it was asked for. */
export interface NewJob {
  readonly name: string;
  readonly customer: string;
  readonly dueOn: string | null;
  readonly design: CheckedDesign;
}

/** A save as it was asked for. */
export interface Save {
  readonly note: string;
  readonly design: CheckedDesign;
}

/** A sweep as it was asked for. */
export interface NewSweep {
  readonly plan: SweepAxes;
  readonly total: number;
  readonly design: CheckedDesign;
}

/** Everything that carries a design, by what it is for. */
export interface WireRequests {
  readonly create: NewJob;
  readonly save: Save;
  readonly sweep: NewSweep;
}

export type WireKind = keyof WireRequests;

/** What lies beside a design in a body is short (characters). */
const mostBesides = 64_000;
/** The most combinations of one sweep on the server. */
const mostPoints = 20_000;

const failed = (path: string, message: string): Taken<never> => ({ ok: false, problems: [{ path, message }] });

const forms = {
  create: { Form: CreateJobDto, keys: ['name', 'customer', 'dueOn'] },
  save: { Form: SaveDesignDto, keys: ['note'] },
  sweep: { Form: SweepRequestDto, keys: ['plan'] },
} as const;

const parsed = (bytes: Uint8Array): Taken<Readonly<Record<string, unknown>>> => {
  const tooMuch = textShapeProblem(bytes);
  if (tooMuch !== null) return failed('', tooMuch);
  let body: unknown;
  try {
    body = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
  } catch (error) {
    return failed('', `The body is not valid JSON (${error instanceof Error ? error.message : String(error)}).`);
  }
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    return failed('', 'The body is a JSON object in braces; this is something else.');
  return { ok: true, value: body as Readonly<Record<string, unknown>> };
};

/** What lies beside the design, checked by its form; unknown fields are dropped. */
const besides = <Kind extends WireKind>(
  kind: Kind,
  body: Readonly<Record<string, unknown>>,
): Taken<InstanceType<(typeof forms)[Kind]['Form']>> => {
  const { Form, keys } = forms[kind];
  const given = Object.fromEntries(keys.flatMap((key) => (body[key] === undefined ? [] : [[key, body[key]]])));
  if (JSON.stringify(given).length > mostBesides)
    return failed('', `What lies beside the design is longer than ${mostBesides} characters.`);
  const isObject = typeof body['design'] === 'object' && body['design'] !== null && !Array.isArray(body['design']);
  const form = plainToInstance<object, unknown>(Form, { ...given, design: isObject ? {} : body['design'] });
  const problems: readonly Problem[] = problemsOf(validateSync(form, { whitelist: true }));
  return problems.length === 0
    ? { ok: true, value: form as InstanceType<(typeof forms)[Kind]['Form']> }
    : { ok: false, problems };
};

const takers: { readonly [Kind in WireKind]: (body: Readonly<Record<string, unknown>>) => Taken<WireRequests[Kind]> } =
  {
    create: (body) => {
      const form = besides('create', body);
      if (!form.ok) return form;
      const design = readWireDesign(body['design']);
      if (!design.ok) return design;
      const { name, customer, dueOn } = form.value;
      return {
        ok: true,
        value: { name, customer: customer ?? '', dueOn: dueOn ?? null, design: storedForm(design.value) },
      };
    },
    save: (body) => {
      const form = besides('save', body);
      if (!form.ok) return form;
      const design = readWireDesign(body['design']);
      if (!design.ok) return design;
      return { ok: true, value: { note: form.value.note ?? '', design: storedForm(design.value) } };
    },
    sweep: (body) => {
      const form = besides('sweep', body);
      if (!form.ok) return form;
      const design = readWireDesign(body['design']);
      if (!design.ok) return design;
      // As plain data: it goes from thread to thread, and into the database.
      const plan = structuredClone({ ...form.value.plan, faces: form.value.plan.faces.map((face) => ({ ...face })) });
      const checked = checkAxes(plan, design.value, mostPoints);
      if (!checked.ok)
        return {
          ok: false,
          problems: checked.problems.map(({ path, message }) => ({ path: `plan.${path}`, message })),
        };
      return { ok: true, value: { plan, total: sweepSize(plan), design: storedForm(design.value) } };
    },
  };

/** Reads the body of a request that carries a design: parsed, bounded, checked, and made ready to be stored. */
export const takeRequest = <Kind extends WireKind>(kind: Kind, bytes: Uint8Array): Taken<WireRequests[Kind]> => {
  const body = parsed(bytes);
  return body.ok ? takers[kind](body.value) : body;
};

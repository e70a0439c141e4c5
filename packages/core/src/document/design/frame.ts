import * as z from 'zod';
import { brief } from './brief-schema.js';
import { id, type segmentRef } from './fields.js';
import type { Frozen } from './frozen.js';
import { finishing, type FinishingDesign } from './finishing-schema.js';
import { hanging, type HangingDesign } from './hanging-schema.js';
import type { lettering } from './lettering-schema.js';
import { placement, power, proof } from './power-schema.js';

/** The name that stands in every design file, and the version this program writes. */
export const designFormat = 'vitrum-design';
export const designVersion = 2;

/** The most assemblies that one sign may have. */
export const mostAssemblies = 12;

/** What every assembly has, whatever its build: spread into the schema of a build. */
export const assemblyFrame = { id, place: placement, hanging, finishing } as const;

/** What Vitrum chose by itself, and why. */
const solved = z
  .looseObject({
    sentence: z.string().max(1000).describe('What was chosen and why, or what stands in the way.'),
    chosen: z
      .array(z.looseObject({ path: z.string().min(1).max(200), value: z.unknown() }))
      .max(200)
      .describe('Fields as they were chosen: one that differs now was set by hand since, and is kept.'),
  })
  .optional()
  .describe('What Vitrum chose by itself when it last solved the design.');

/** Everything of a design but its assemblies. */
const frame = {
  format: z.literal(designFormat),
  version: z.literal(designVersion),
  name: z.string().min(1).max(120),
  brief,
  power,
  proof,
  solved,
} as const;

/** An id that two assemblies share, or a place that none of them is: what the shape of each alone cannot tell. */
const placesProblems = (
  assemblies: readonly { readonly id: string; readonly place: { readonly on: string | null } }[],
): readonly { readonly path: readonly (string | number)[]; readonly message: string }[] => {
  const ids = assemblies.map((each) => each.id);
  return assemblies.flatMap(({ id: own, place: { on } }, index) => [
    ...(ids.indexOf(own) < index ? [{ path: [index, 'id'], message: `“${own}” is the id of another assembly` }] : []),
    ...(on !== null && !ids.slice(0, index).includes(on)
      ? [{ path: [index, 'place', 'on'], message: `must name an assembly that comes before it, and is “${on}”` }]
      : []),
  ]);
};

/**
 * The schema of a design whose assemblies are of the given builds. Objects are loose: fields this program does not know are
 * kept as they came. An assembly stands on the wall or on one that comes before it.
 */
export const designSchemaOf = <Build extends z.ZodObject>(builds: readonly [Build, ...Build[]]) =>
  z.looseObject({
    ...frame,
    assemblies: z
      .array(z.discriminatedUnion('build', builds as never) as unknown as z.ZodType<z.infer<Build>>)
      .min(1)
      .max(mostAssemblies)
      .superRefine((assemblies, context) => {
        for (const { path, message } of placesProblems(assemblies as never))
          context.addIssue({ code: 'custom', path: [...path], message });
      }),
  });

type FrameShape = Frozen<z.infer<z.ZodObject<typeof frame, z.core.$loose>>>;

export type Brief = FrameShape['brief'];
export type Ambient = Brief['ambient'];
export type PowerDesign = FrameShape['power'];
export type Proof = NonNullable<FrameShape['proof']>;
export type Reading = Proof['readings'][number];
export type Placement = Frozen<z.infer<typeof placement>>;
/** What every assembly says about its letters or its drawing. */
export type Artwork = Frozen<z.infer<z.ZodObject<typeof lettering, z.core.$loose>>>;
/** A segment of strip by its assembly’s id and its number there. */
export type SegmentRef = Frozen<z.infer<typeof segmentRef>>;

/** What any assembly has, whatever its build. */
export interface AssemblyFrame {
  readonly id: string;
  readonly build: string;
  readonly place: Placement;
  readonly hanging?: HangingDesign | null | undefined;
  readonly finishing?: FinishingDesign | undefined;
}

/** A design, its assemblies of the builds given. */
export type DesignOf<Assembly extends AssemblyFrame> = FrameShape & { readonly assemblies: readonly Assembly[] };

/** A design, whatever its assemblies are. */
export type AnyDesign = DesignOf<AssemblyFrame>;

import { registry } from '../../builds/registry.js';
import type { Design } from '../design/index.js';
import { lanternRooms } from '../../builds/index.js';

type Registered = (typeof registry)[number]['demos'];
type AllOf<Union> = (Union extends unknown ? (each: Union) => void : never) extends (all: infer All) => void
  ? All
  : never;

/** Demo designs by the name that the command line takes: those of each build, and signs of several assemblies. */
export const demoDesigns = {
  ...(Object.assign({}, ...registry.map(({ demos }) => demos)) as AllOf<Registered>),
  'lantern-rooms': lanternRooms,
} satisfies Readonly<Record<string, Design>>;

import { wireKind, type Chain, type Circuit, type WireEnd, type WireRun } from '../circuit/index.js';
import type { AnyDesign } from '../../document/design/index.js';
import type { Point } from '../../base/outlines/index.js';
import type { Diagram, DiagramBox, DiagramLink } from './types.js';

const boxHeight = 26;
const segmentWidth = 36;
/** Between boxes, with room for what is written on a wire. */
const gap = 54;
const rowHeight = 50;
const margin = 8;
/** Segments in one row; a longer chain goes on in the next. */
const segmentsInRow = 5;
const widths = { socket: 36, supply: 56, controller: 60, lead: 52 } as const;
/** Room at the left of the segments for what comes from the lead. */
const trunk = 66;

interface Facts {
  readonly circuit: Circuit;
  readonly design: Pick<AnyDesign, 'brief'>;
}

const rowsOf = ({ segments }: Chain): number => Math.max(1, Math.ceil(segments.length / segmentsInRow));

/** Chains with the row each begins in, under the row of the supply that feeds them; and the rows of the supplies. */
const placedChains = ({ chains, supplyCount }: Circuit) => {
  const supplyRows: number[] = [];
  const placed: { readonly chain: Chain; readonly row: number }[] = [];
  let row = 0;
  for (let supply = 1; supply <= supplyCount; supply += 1) {
    supplyRows.push(row);
    row += 1;
    for (const chain of chains.filter((each) => each.supply === supply)) {
      placed.push({ chain, row });
      row += rowsOf(chain);
    }
  }
  return { placed, supplyRows };
};

const yOf = (row: number): number => margin + row * rowHeight;

/** What is written on a wire: its gauge, and what it carries. */
const wireWords = ({ wire, coreAmps, amps, carries }: WireRun): readonly [string, string] => {
  if (carries === 'data') return ['data', ''];
  const what = carries === 'minus' || carries === 'link' || carries === 'plus' ? `${carries} ` : '';
  const told = carries === 'power-and-data' ? ' + data' : '';
  return [`${what}${wire.areaMm2} mm²`, `${(coreAmps.length === 1 ? coreAmps[0]! : amps).toFixed(2)} A${told}`];
};

/** Out at the right and in at the left; back to the left for what goes on in the next row. */
const onward = (from: DiagramBox, to: DiagramBox): readonly Point[] => {
  const [x1, y1] = [from.x + from.width, from.y + from.height / 2];
  const [x2, y2] = [to.x, to.y + to.height / 2];
  if (Math.abs(y1 - y2) < 0.01 && x2 > x1)
    return [
      [x1, y1],
      [x2, y2],
    ];
  const [out, back, between] = [x1 + 6, x2 - 30, to.y - 8];
  return [
    [x1, y1],
    [out, y1],
    [out, between],
    [back, between],
    [back, y2],
    [x2, y2],
  ];
};

/** Down from the lead to the trunk at the left, and along the row: into the side of its first segment, or over the row. */
const fromLead = (lead: DiagramBox, to: DiagramBox, first: boolean, aside: number): readonly Point[] => {
  const [x1, y1] = [lead.x + lead.width / 2, lead.y + lead.height];
  const bend = y1 + 6;
  const x = margin + 6 + aside;
  const down: readonly Point[] = [
    [x1, y1],
    [x1, bend],
    [x, bend],
  ];
  const [ty, tx] = [to.y + to.height / 2, to.x + to.width / 2];
  return first
    ? [...down, [x, ty], [to.x, ty]]
    : [...down, [x, to.y - 7 - aside], [tx + aside, to.y - 7 - aside], [tx + aside, to.y]];
};

/** Over the row from segment to segment, or between the rows to one in another. */
const over = (from: DiagramBox, to: DiagramBox): readonly Point[] => {
  const [x1, x2] = [from.x + from.width / 2, to.x + to.width / 2];
  const level = Math.abs(from.y - to.y) < 0.01;
  const top = to.y - 5;
  return [
    [x1, level ? from.y : from.y + from.height],
    [x1, top],
    [x2, top],
    [x2, to.y],
  ];
};

/** What stands before the sign: socket, supply, controller, and the end of the lead, for each supply. */
const feedBoxes = ({ circuit, design }: Facts, supply: number, y: number): readonly DiagramBox[] => {
  const { drive, voltageV, fuseA, lead, leadCores, supplyCount } = circuit;
  const of = supplyCount > 1 ? ` ${supply}` : '';
  const source = circuit.supply?.source ?? 'mains';
  const item = supply === 1 ? drive.controller : (drive.amplifier ?? null);
  const controller: Omit<DiagramBox, 'x'> | null =
    item === null
      ? null
      : {
          id: `controller-${supply}`,
          kind: 'controller',
          title: item.kind,
          lines: [item.signal === 'data' ? `${circuit.pixels} pixels` : `${item.channels} × ${item.channelA} A`],
          y,
          width: widths.controller,
          height: boxHeight,
        };
  const leadBox: Omit<DiagramBox, 'x'> = {
    id: `lead-${supply}`,
    kind: 'lead',
    title: `lead${of}`,
    lines: [`${leadCores.length} × ${lead.areaMm2} mm²`, `${(design.brief.leadLengthMm / 1000).toFixed(2)} m`],
    y,
    width: widths.lead,
    height: boxHeight,
  };
  const row: readonly Omit<DiagramBox, 'x'>[] = [
    ...(source === 'battery'
      ? []
      : [
          {
            id: `socket-${supply}`,
            kind: 'socket',
            title: source === 'usb' ? 'USB' : 'socket',
            lines: [],
            y,
            width: widths.socket,
            height: boxHeight,
          } as const,
        ]),
    {
      id: `supply-${supply}`,
      kind: 'supply',
      title: `${source === 'battery' ? 'battery' : 'supply'}${of}`,
      lines: [circuit.supply === null ? 'none suits' : `${voltageV} V, ${circuit.supply.watts} W`, `fuse ${fuseA} A`],
      y,
      width: widths.supply,
      height: boxHeight,
    },
    ...(controller === null ? [leadBox] : drive.inside ? [leadBox, controller] : [controller, leadBox]),
  ];
  let x = margin;
  return row.map((each): DiagramBox => {
    const box = { ...each, x };
    x += each.width + gap / 2;
    return box;
  });
};

const segmentBoxes = ({ circuit }: Facts): readonly DiagramBox[] =>
  placedChains(circuit).placed.flatMap(({ chain, row }) =>
    chain.segments.map((segment, place): DiagramBox => {
      const { label, lengthMm } = circuit.segments[segment]!;
      return {
        id: `segment-${segment}`,
        kind: 'segment',
        title: label,
        lines: [`${Math.round(lengthMm)} mm`],
        x: margin + trunk + (place % segmentsInRow) * (segmentWidth + gap),
        y: yOf(row + Math.floor(place / segmentsInRow)),
        width: segmentWidth,
        height: boxHeight,
      };
    }),
  );

/** A wire inside the sign, drawn between its boxes. */
const insideLink = (run: WireRun, index: number, from: DiagramBox, to: DiagramBox): DiagramLink => {
  const lead = run.ends[0] === 'lead';
  const aside = run.injected || run.carries === 'minus' || run.carries === 'data';
  const path = lead
    ? fromLead(from, to, !aside, aside ? 5 : 0)
    : run.carries === 'data'
      ? over(from, to)
      : onward(from, to);
  const [label, below] = wireWords(run);
  const [x, y] = aside ? path[path.length - 2]! : path[path.length - 1]!;
  return {
    id: `wire-${index}`,
    path,
    label: aside && below !== '' ? `${label}, ${below}` : label,
    below: aside ? '' : below,
    labelAt: [x - 2, y - 2],
    kind: wireKind(run),
  };
};

/** The circuit of a design in order from the socket. */
export const wiringDiagram = (facts: Facts): Diagram => {
  const { circuit } = facts;
  const { supplyRows } = placedChains(circuit);
  const feeds = supplyRows.map((row, index) => feedBoxes(facts, index + 1, yOf(row)));
  const boxes = [...feeds.flat(), ...segmentBoxes(facts)];
  const boxOf = (end: WireEnd, chain: number): DiagramBox => {
    const row = feeds[circuit.chains[chain - 1]!.supply - 1]!;
    return end === 'lead' ? row[row.length - 1]! : boxes.find(({ id }) => id === `segment-${end.segment}`)!;
  };
  const before = feeds.flatMap((row, supply): readonly DiagramLink[] =>
    row.slice(1).map((box, index) => {
      const path = onward(row[index]!, box);
      const kind = row[index]!.kind === 'socket' ? 'mains' : 'power';
      return { id: `${supply} ${box.id}`, path, label: '', below: '', labelAt: path[0]!, kind };
    }),
  );
  const links = [
    ...before,
    ...circuit.wires.map((run, index) =>
      insideLink(run, index, boxOf(run.ends[0], run.chain), boxOf(run.ends[1], run.chain)),
    ),
  ];
  const places = [
    ...boxes.map(({ x, y, width, height }): Point => [x + width, y + height]),
    ...links.flatMap(({ path }) => path),
  ];
  return {
    width: Math.max(...places.map(([x]) => x)) + margin,
    height: Math.max(...places.map(([, y]) => y)) + margin,
    boxes,
    links,
  };
};

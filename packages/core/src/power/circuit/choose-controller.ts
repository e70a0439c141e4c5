import type { Catalogue, Controller, Strip } from '../../document/catalogue/index.js';
import type { Brief, PowerDesign } from '../../document/design/index.js';

/** What has to be switched or told. */
export interface DriveNeeds {
  readonly voltageV: number;
  /** Outputs: colours times zones; one for data. */
  readonly outputs: number;
  /** The most that one output, and all of one supply together, carry (A). */
  readonly outputA: number;
  readonly totalA: number;
  readonly pixels: number;
}

/** What dims, mixes or tells: the one beside the first supply, and what repeats it beside each further one. */
export interface Drive {
  readonly wanted: boolean;
  readonly controller: Controller | null;
  readonly amplifier: Controller | null;
  readonly amplifiers: number;
  readonly inside: boolean;
  /** The eye of an infrared remote looks out through a hole. */
  readonly sensorWindow: boolean;
}

/** Whether the strip or the brief asks for more than a switch. */
const isWanted = (brief: Brief, power: PowerDesign, strip: Strip, zones: number): boolean =>
  strip.addressable === true ||
  strip.colour !== 'white' ||
  zones > 1 ||
  (brief.control ?? 'switch') !== 'switch' ||
  isDimmed(power);

/** Turned down, always or after dark. */
const isDimmed = ({ level = 1, nightLevel = 1 }: PowerDesign): boolean => level < 1 || nightLevel < 1;

/** Whether it suits in kind, voltage and number of outputs; its current is another matter. */
export const suitsDrive = (item: Controller, strip: Strip, needs: DriveNeeds): boolean =>
  item.signal === (strip.addressable === true ? 'data' : 'channels') &&
  item.voltagesV.includes(needs.voltageV) &&
  item.channels >= needs.outputs &&
  (item.maxPixels ?? Infinity) >= needs.pixels;

const carries = (item: Controller, { outputA, totalA }: DriveNeeds): boolean =>
  item.signal === 'data' || (item.channelA >= outputA && item.totalA >= totalA);

/** The cheapest that carries the load; when none does, the one that carries most. */
const cheapest = (items: readonly Controller[], needs: DriveNeeds): Controller | null => {
  const byPrice = [...items].sort((a, b) => a.price - b.price);
  const byCurrent = [...items].sort((a, b) => b.channelA - a.channelA);
  return byPrice.find((item) => carries(item, needs)) ?? byCurrent[0] ?? null;
};

const fitsControl = (item: Controller, brief: Brief, strip: Strip): boolean => {
  if (strip.colour !== 'white' || strip.addressable === true) return item.remote !== 'none';
  return brief.control === 'remote' ? item.remote !== 'none' : item.remote === 'none';
};

/** The dimmer or controller that was chosen by hand, else the cheapest that suits strip, brief and load. */
export const chooseDrive = (
  { controllers }: Catalogue,
  brief: Brief,
  power: PowerDesign,
  strip: Strip,
  zones: number,
  needs: DriveNeeds,
): Drive => {
  const wanted = isWanted(brief, power, strip, zones);
  const inside = power.controllerPlace === 'inside';
  const chosen = power.controllerId ?? 'auto';
  const suiting = controllers.filter((item) => suitsDrive(item, strip, needs));
  const leading = suiting.filter(({ kind }) => kind !== 'amplifier');
  const fitting = leading.filter((item) => fitsControl(item, brief, strip));
  const automatic = wanted ? cheapest(fitting.length > 0 ? fitting : leading, needs) : null;
  const byHand = chosen === 'auto' ? automatic : (controllers.find(({ id }) => id === chosen) ?? null);
  const controller = chosen === 'none' ? null : byHand;
  const amplifiers = controller?.signal === 'channels' ? power.supplyCount - 1 : 0;
  const amplifier =
    amplifiers > 0
      ? cheapest(
          suiting.filter(({ kind }) => kind === 'amplifier'),
          needs,
        )
      : null;
  return { wanted, controller, amplifier, amplifiers, inside, sensorWindow: power.sensorWindow === true };
};

import type { Tool } from '../../document/catalogue/index.js';

/** What to mind with a tool that cuts sheets of any kind. */
export const toolCautions: Readonly<Record<Tool['kind'], string>> = {
  knife: 'Blades: gloves, and cut away from you.',
  beam: 'Never laser PVC, foam board or board of unknown kind: it gives off chlorine. Ventilate, never leave it alone, watch for fire.',
  bit: 'Router by its maker’s manual; hold the sheet down all over; eye, ear and dust protection.',
  nozzle: 'Nozzle and bed are hot. Ventilate.',
};

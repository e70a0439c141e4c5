import { lazyPart } from './lazy-part';
import type { SheetDialogProps } from './sheet';

const Sheet = lazyPart(() => import('./sheet'), 'Sheet', { fallback: null });

/** A sheet of paper laid over the page while it is open; fetched with the rest of the page. */
export const SheetDialog = (props: SheetDialogProps) => (props.open ? <Sheet {...props} /> : null);

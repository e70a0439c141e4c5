import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

export interface SheetDialogProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
}

/** A sheet of paper laid over the page; Escape and the cross put it away. */
export const Sheet = ({ open, onClose, title, children, wide = false }: SheetDialogProps) => (
  <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
      <Dialog.Content
        aria-describedby={undefined}
        className={`fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[92vw] -translate-x-1/2 -translate-y-1/2 flex-col border border-line bg-sheet shadow-xl ${wide ? 'max-w-3xl' : 'max-w-lg'}`}
      >
        <header className="flex items-center justify-between border-b border-line px-5 py-3">
          <Dialog.Title className="text-base font-bold">{title}</Dialog.Title>
          <Dialog.Close aria-label="Close" className="rounded p-1 hover:bg-paper">
            <X size={18} aria-hidden />
          </Dialog.Close>
        </header>
        <div className="overflow-y-auto px-5 py-4">{children}</div>
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);

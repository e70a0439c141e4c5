import type { ReactNode } from 'react';
interface SheetDialogProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly title: string;
  readonly children: ReactNode;
  readonly wide?: boolean;
}
/** A sheet of paper laid over the page; Escape and the cross put it away. */
export declare const SheetDialog: ({
  open,
  onClose,
  title,
  children,
  wide,
}: SheetDialogProps) => import('react').JSX.Element;
export {};

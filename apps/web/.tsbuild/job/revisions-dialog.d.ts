interface RevisionsDialogProps {
  readonly jobId: string;
  readonly onClose: () => void;
}
/** Every version ever saved; any can be brought back, as a new edit that undo takes away again. */
export declare const RevisionsDialog: ({ jobId, onClose }: RevisionsDialogProps) => import('react').JSX.Element;
export {};

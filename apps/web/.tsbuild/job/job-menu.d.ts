interface JobMenuProps {
  readonly jobId: string;
  readonly onHelp: () => void;
}
/** Less used actions of a job, and how the page looks. */
export declare const JobMenu: ({ jobId, onHelp }: JobMenuProps) => import('react').JSX.Element;
export {};

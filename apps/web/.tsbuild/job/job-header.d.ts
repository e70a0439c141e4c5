import type { EvaluationLink } from '../evaluation/evaluation-store';
interface JobHeaderProps {
  readonly jobId: string;
  readonly link: EvaluationLink;
  readonly onHelp: () => void;
}
export declare const JobHeader: ({ jobId, link, onHelp }: JobHeaderProps) => import('react').JSX.Element;
export {};

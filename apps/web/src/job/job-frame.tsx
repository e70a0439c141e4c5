import type { ReactNode } from 'react';

interface JobFrameProps {
  readonly header: ReactNode;
  readonly line: ReactNode;
  readonly children: ReactNode;
  readonly tape: ReactNode;
}

/** Where the parts of a job’s page lie: the header, the work line and what is beside it, the tape of figures. */
export const JobFrame = ({ header, line, children, tape }: JobFrameProps) => (
  <div className="flex h-full flex-col max-lg:h-auto print:h-auto">
    {header}
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      {line}
      {children}
    </div>
    {tape}
  </div>
);

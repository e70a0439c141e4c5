import { cloneElement, type ReactElement } from 'react';

interface HintProps {
  readonly says: string;
  readonly children: ReactElement<Readonly<Record<string, unknown>>>;
}

/** What a control does, shown by the layer of hints when it is pointed at or gone to. The control keeps a name of its own. */
export const Hint = ({ says, children }: HintProps) => cloneElement(children, { 'data-hint': says });

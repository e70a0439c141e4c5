import type { ReactNode } from 'react';
interface FieldRowProps {
    readonly id: string;
    readonly label: string;
    /** What follows from the value, in the figures of now. */
    readonly hint?: ReactNode;
    readonly problem?: string | null;
    readonly children: ReactNode;
    readonly stacked?: boolean;
}
/** A label, its field, what follows from it, and what is wrong with it. */
export declare const FieldRow: ({ id, label, hint, problem, children, stacked }: FieldRowProps) => import("react").JSX.Element;
export declare const fieldLook = "w-40 rounded-[3px] border border-line bg-sheet px-2 py-1 text-ink hover:border-soft aria-invalid:border-signal";
export {};

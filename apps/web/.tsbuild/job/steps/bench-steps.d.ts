export declare const CutStep: () => import('react').JSX.Element | null;
export declare const BuildStep: () => import('react').JSX.Element | null;
export declare const ProveStep: () => import('react').JSX.Element | null;

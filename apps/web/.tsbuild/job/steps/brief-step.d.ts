export declare const BriefStep: () => import('react').JSX.Element;

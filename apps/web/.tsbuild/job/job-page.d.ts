export declare const JobPage: () => import('react').JSX.Element;

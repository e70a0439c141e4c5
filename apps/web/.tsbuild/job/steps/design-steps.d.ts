export declare const ArtworkStep: () => import('react').JSX.Element;
export declare const CaseStep: () => import('react').JSX.Element;
export declare const LightStep: () => import('react').JSX.Element;
export declare const PowerStep: () => import('react').JSX.Element | null;
export declare const FaceStep: () => import('react').JSX.Element | null;

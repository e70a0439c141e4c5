/** The handful of figures that decide; each explains itself when asked. */
export declare const FiguresTape: () => import('react').JSX.Element;

/** Parts on their sheets, ripped along and cross-cut, kerf left between. */
export declare const SheetLayout: () => import('react').JSX.Element;

/** What the shop can build from. Read-only for now. */
export declare const ShelfPage: () => import('react').JSX.Element;

export declare const router: import('react-router').DataRouter;

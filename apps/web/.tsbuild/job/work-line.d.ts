import type { JobStatus } from '@vitrum/core';
/** The work line: a strip whose LEDs light as steps come right. Steps can be visited in any order. */
export declare const WorkLine: ({ jobId, status }: {
    readonly jobId: string;
    readonly status: JobStatus;
}) => import("react").JSX.Element;

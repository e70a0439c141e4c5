/** Hands bytes to the browser as a download. */
export declare const saveFile: (name: string, bytes: Uint8Array | string, type: string) => void;

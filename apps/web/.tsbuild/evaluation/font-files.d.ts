/** Bytes of a font that ships with the app. */
export declare const loadFontFile: (file: string) => Promise<ArrayBuffer>;

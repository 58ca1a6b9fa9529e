/** What the build makes of `browser/early`. */
export declare const script: string;

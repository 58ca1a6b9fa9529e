/** What the build makes of `browser/snapshot`. */
export declare const script: string;

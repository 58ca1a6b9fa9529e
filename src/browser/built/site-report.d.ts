/** What the build makes of `browser/site-report`. */
export declare const script: string;
export declare const style: string;

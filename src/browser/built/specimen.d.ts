/** What the build makes of `browser/specimen`. */
export declare const script: string;
export declare const style: string;

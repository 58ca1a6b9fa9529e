/** What the build makes of `browser/proof`. */
export declare const script: string;
export declare const style: string;

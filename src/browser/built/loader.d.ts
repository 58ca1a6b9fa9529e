/** What the build makes of `browser/loader`: it reads `kitGroups` and `kitBase` of what is around it. */
export declare const script: string;

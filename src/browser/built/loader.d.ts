/** What the build makes of `browser/loader`: it reads `kitGroups` and `kitBase` of what is around it. */
export declare const script: string;
/** The same for applications, as a module with exports. */
export declare const module: string;

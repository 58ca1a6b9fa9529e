/** What the build makes of `browser/panel`: it reads `panelStyle` of what is around it. */
export declare const script: string;
export declare const style: string;

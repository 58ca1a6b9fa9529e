// What of a bundler's interface is used; its own types say more.

export interface ResolvedConfig {
  root: string;
  base: string;
  command: 'build' | 'serve';
  logger: { info: (text: string) => void; warn: (text: string) => void };
  build?: { ssr?: boolean | string };
}
type AssetsLimit = number | ((file: string, content: Buffer) => boolean | undefined) | undefined;
export interface UserConfig {
  build?: { assetsInlineLimit?: AssetsLimit };
}
export interface OutputFile {
  type: string;
  fileName: string;
  source?: string | Uint8Array;
  code?: string;
}
export type Bundle = Record<string, OutputFile>;
export interface PluginContext {
  addWatchFile: (file: string) => void;
  emitFile: (file: { type: 'asset'; fileName: string; source: Uint8Array }) => string;
  error: (cause: Error) => never;
  info: (text: string) => void;
  warn: (text: string) => void;
}
export interface HtmlContext {
  path: string;
  bundle?: object | undefined;
}
export interface DevServer {
  watcher: {
    add: (files: string[]) => unknown;
    on: (event: 'all', told: (event: string, file: string) => void) => unknown;
  };
  middlewares: {
    use: (
      handle: (
        request: { url?: string },
        response: {
          setHeader: (name: string, value: string) => unknown;
          end: (bytes: Uint8Array) => unknown;
        },
        next: () => void,
      ) => void,
    ) => unknown;
  };
  moduleGraph: {
    getModuleById: (id: string) => object | undefined;
    invalidateModule: (module: never) => void;
  };
  ws: { send: (payload: { type: 'full-reload' }) => void };
}

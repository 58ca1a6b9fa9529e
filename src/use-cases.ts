// Written by tools/build/lists.mjs from the files in src/cli/commands.
import type { adopt as adoptNow } from './app/adopt.js';
import type { build as buildNow } from './app/build.js';
import type { convert as convertNow } from './app/convert.js';
import type { demo as demoNow } from './app/demo.js';
import type { init as initNow } from './app/init.js';
import type { inspect as inspectNow } from './app/inspect.js';
import type { scan as scanNow } from './app/scan.js';
import type { subset as subsetNow } from './app/subset.js';
import type { wire as wireNow } from './app/wire.js';

export type * from './app/adopt.js';
export type * from './app/build.js';
export type * from './app/convert.js';
export type * from './app/demo.js';
export type * from './app/init.js';
export type * from './app/inspect.js';
export type * from './app/scan.js';
export type * from './app/subset.js';
export type * from './app/wire.js';

/** See `AdoptRequest`. */
export const adopt: typeof adoptNow = async (...call) =>
  (await import('./app/adopt.js')).adopt(...call);

/** See `BuildRequest`. */
export const build: typeof buildNow = async (...call) =>
  (await import('./app/build.js')).build(...call);

/** See `ConvertRequest`. */
export const convert: typeof convertNow = async (...call) =>
  (await import('./app/convert.js')).convert(...call);

/** See `DemoRequest`. */
export const demo: typeof demoNow = async (...call) =>
  (await import('./app/demo.js')).demo(...call);

/** See `InitRequest`. */
export const init: typeof initNow = async (...call) =>
  (await import('./app/init.js')).init(...call);

/** See `InspectRequest`. */
export const inspect: typeof inspectNow = async (...call) =>
  (await import('./app/inspect.js')).inspect(...call);

/** See `ScanRequest`. */
export const scan: typeof scanNow = async (...call) =>
  (await import('./app/scan.js')).scan(...call);

/** See `SubsetRequest`. */
export const subset: typeof subsetNow = async (...call) =>
  (await import('./app/subset.js')).subset(...call);

/** See `WireRequest`. */
export const wire: typeof wireNow = async (...call) =>
  (await import('./app/wire.js')).wire(...call);

// Written by tools/build/lists.mjs from the files in src/cli/commands.
import type { adopt as adoptNow } from './app/adoption/adopt.js';
import type { build as buildNow } from './app/building/build.js';
import type { convert as convertNow } from './app/fonts/convert.js';
import type { demo as demoNow } from './app/demo.js';
import type { fallback as fallbackNow } from './app/stand-ins/fallback.js';
import type { init as initNow } from './app/drafting/init.js';
import type { inspect as inspectNow } from './app/fonts/inspect.js';
import type { scan as scanNow } from './app/scanning/scan.js';
import type { subset as subsetNow } from './app/fonts/subset.js';
import type { wire as wireNow } from './app/wiring/wire.js';

export type * from './app/adoption/adopt.js';
export type * from './app/building/build.js';
export type * from './app/fonts/convert.js';
export type * from './app/demo.js';
export type * from './app/stand-ins/fallback.js';
export type * from './app/drafting/init.js';
export type * from './app/fonts/inspect.js';
export type * from './app/scanning/scan.js';
export type * from './app/fonts/subset.js';
export type * from './app/wiring/wire.js';

/** See `AdoptRequest`. */
export const adopt: typeof adoptNow = async (...call) =>
  (await import('./app/adoption/adopt.js')).adopt(...call);

/** See `BuildRequest`. */
export const build: typeof buildNow = async (...call) =>
  (await import('./app/building/build.js')).build(...call);

/** See `ConvertRequest`. */
export const convert: typeof convertNow = async (...call) =>
  (await import('./app/fonts/convert.js')).convert(...call);

/** See `DemoRequest`. */
export const demo: typeof demoNow = async (...call) =>
  (await import('./app/demo.js')).demo(...call);

/** See `FallbackRequest`. */
export const fallback: typeof fallbackNow = async (...call) =>
  (await import('./app/stand-ins/fallback.js')).fallback(...call);

/** See `InitRequest`. */
export const init: typeof initNow = async (...call) =>
  (await import('./app/drafting/init.js')).init(...call);

/** See `InspectRequest`. */
export const inspect: typeof inspectNow = async (...call) =>
  (await import('./app/fonts/inspect.js')).inspect(...call);

/** See `ScanRequest`. */
export const scan: typeof scanNow = async (...call) =>
  (await import('./app/scanning/scan.js')).scan(...call);

/** See `SubsetRequest`. */
export const subset: typeof subsetNow = async (...call) =>
  (await import('./app/fonts/subset.js')).subset(...call);

/** See `WireRequest`. */
export const wire: typeof wireNow = async (...call) =>
  (await import('./app/wiring/wire.js')).wire(...call);

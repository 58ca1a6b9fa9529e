/**
 * The tables that are read and written field by field. A new table touches its own file and this list; whatever
 * isn't listed is carried through a conversion as bytes.
 */
import type { TableModule } from '../sfnt/font.js';
import * as cmap from './cmap.js';
import * as fvar from './fvar.js';
import * as glyf from './glyf.js';
import * as head from './head.js';
import * as hhea from './hhea.js';
import * as hmtx from './hmtx.js';
import * as loca from './loca.js';
import * as maxp from './maxp.js';
import * as name from './name.js';
import * as os2 from './os2.js';
import * as post from './post.js';

export { cmap, fvar, glyf, head, hhea, hmtx, loca, maxp, name, os2, post };

export const tableModules: readonly TableModule<never>[] = [
  cmap,
  fvar,
  glyf,
  head,
  hhea,
  hmtx,
  loca,
  maxp,
  name,
  os2,
  post,
] as unknown as TableModule<never>[];

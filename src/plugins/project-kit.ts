// The kit of a project, made again whenever what it is made from changes

import { kilobytes } from '../core/text/amounts.js';
import { join, resolve } from 'node:path';
import { kitAtHand, type KitAtHand } from '../app/project/kit-at-hand.js';
import { headPartsOf } from '../app/wiring/pages.js';
import { buildFrom, type BuildInputs, type BuildResult } from '../app/building/build.js';
import { readBytes } from '../io/read.js';
import { headMarkup } from '../kit/files/head.js';
import { filesPublished } from '../kit/files/read-manifest.js';
import { shippedIn, type Shipped } from '../kit/replacing/index.js';

/** Warnings in the line that tells of a kit. */
const mostTold = 3;

/** Where the kit goes, and who asks for it. */
export interface ProjectKitOptions {
  /** What paths start from, absolute. */
  folder: string;
  /** The config, where it isn't found from the folder upwards. */
  config?: string | undefined;
  /** Where it is written, absolute, and by which URL it is asked for; relative to its stylesheet if left out. */
  into: { folder: string; facts: string; url: string | undefined };
}

export class ProjectKit {
  result: BuildResult | undefined;
  inputs: BuildInputs | undefined;
  private making: Promise<BuildResult> | undefined;
  private isLate = false;

  constructor(private readonly options: ProjectKitOptions) {}

  get folder(): string {
    return this.options.into.folder;
  }

  /** What of it is published, by the paths in it: what browsers ask for, and what licences ask for. */
  published(): Map<string, Uint8Array> {
    const { manifest } = this.made();
    return new Map(filesPublished(manifest).map((name) => [name, readBytes(join(this.folder, name), name)]));
  }

  /** Makes it, or what changed of it; calls that come meanwhile wait for the same. @throws DenseGlyphError */
  async make(): Promise<BuildResult> {
    if (this.making) {
      this.isLate = true;
      return this.making;
    }
    this.making = this.makeUntilSettled();
    try {
      return await this.making;
    } finally {
      this.making = undefined;
    }
  }

  /** Made if it isn't yet. */
  async ready(): Promise<BuildResult> {
    return this.making ?? this.result ?? this.make();
  }

  /** Whether a file is one that it is made from. @param path absolute */
  concerns(path: string): boolean {
    return this.inputs?.files.includes(resolve(path)) === true;
  }

  /** What the head of an entry has: a page of the demand that it stands for, else all that is preloaded. */
  head(entry: string): string {
    const kit = this.atHand();
    const base = kit.url ?? '';
    return headMarkup(headPartsOf(plannedPage(entry, kit), kit, base), base);
  }

  /** Files that an entry preloads. */
  preloads(entry: string): readonly string[] {
    const kit = this.atHand();
    return headPartsOf(plannedPage(entry, kit), kit, '').preloads;
  }

  /** What it has, for rules that it replaces. What no page draws stays in packages: an app may come to draw it. */
  get shipped(): Shipped {
    return { ...shippedIn(this.made().manifest, this.inputs?.keepsRest ?? true), leftOut: new Set() };
  }

  /** What it is, in a line. */
  get sentence(): string {
    const { manifest, findings } = this.made();
    const faces = manifest.families.flatMap((family) => family.faces);
    const parts = faces.flatMap((face) => face.parts.filter(({ slice }) => slice !== 'rest').slice(0, 1));
    const bytes = parts.reduce((sum, part) => sum + part.bytes, 0);
    const size = `${faces.length} ${faces.length === 1 ? 'face' : 'faces'}, ${kilobytes(bytes)}`;
    const { pages, otherPages } = manifest;
    const count = pages.length + otherPages.length;
    const warned = findings.filter(({ severity }) => severity === 'warning').map(({ message }) => message);
    const more = warned.length > mostTold ? [`${warned.length - mostTold} more, which build tells`] : [];
    if (findings.some(({ code }) => code === 'demand-unreadable')) return `${size}; ${warned.join('; ')}`;
    return count > 0
      ? `${size}, cut to what ${count === 1 ? '1 page draws' : `${count} pages draw`}${['', ...warned.slice(0, mostTold), ...more].join('; ')}`
      : `${size}: whole, as nobody has said yet what pages draw; dense-glyph scan --save with the file of site.demand does`;
  }

  private made(): BuildResult {
    if (!this.result) throw new Error('the kit is not made yet');
    return this.result;
  }

  private atHand(): KitAtHand {
    const { into, folder } = this.options;
    return kitAtHand({ output: into }, folder, folder);
  }

  private async makeUntilSettled(): Promise<BuildResult> {
    do {
      this.isLate = false;
      const { folder, config, into } = this.options;
      const { result, inputs } = await buildFrom({ folder, config, keptOnly: true, into });
      this.result = result;
      this.inputs = inputs;
    } while (this.isLate as boolean);
    return this.result;
  }
}

/** The page of a plan that an entry of a bundler is; a start page answers for the routes behind it. */
function plannedPage(entry: string, { manifest }: KitAtHand): string {
  const path = entry.replace(/^\//, '');
  const folder = path.replace(/(^|\/)index\.html$/, '$1');
  const names = [path, `/${path}`, folder, `/${folder}`, `/${folder.replace(/\/$/, '')}`];
  return names.find((name) => manifest.plan?.pages.some(({ page }) => page === name)) ?? path;
}

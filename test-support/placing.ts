import { readGdef, type Gdef } from '#src/core/layout/common/gdef.js';
import type { Device } from '#src/core/layout/common/device.js';
import { lookupFlag } from '#src/core/layout/common/lookup.js';
import type { Subtable } from '#src/core/layout/kinds.js';
import { readLayoutTable, type LayoutTable, type Lookup } from '#src/core/layout/layout-table.js';
import type { PairAdjustment } from '#src/core/layout/gpos/pair-adjustment.js';
import type { Positioning } from '#src/core/layout/gpos/index.js';
import type { PairValue } from '#src/core/layout/gpos/pair-value.js';
import type { Anchor, Value } from '#src/core/layout/gpos/value-record.js';
import type { Font } from '#src/core/sfnt/font.js';
import { pairsIn } from './layout.js';

/** Where a glyph is moved to, and by how much its advance grows. */
interface Placement {
  /** In font units: x, y, advance in x, advance in y. */
  by: [number, number, number, number];
  /** What changes along axes: which of these, and the deltas of each region. */
  along: string[];
}

const ignored = { base: 0x2, ligature: 0x4, mark: 0x8 } as const;
const glyphClass = { base: 1, ligature: 2, mark: 3 } as const;

/**
 * Places a few glyphs as GPOS says, once for each language of each script. It follows the
 * standard and nothing of the code that cuts fonts down; contexts aren't followed.
 */
export class Placer {
  private readonly gpos: LayoutTable | undefined;
  private readonly gdef: Gdef | undefined;

  /** @param isWanted the features that are turned on, by tag */
  constructor(
    font: Font,
    private readonly isWanted: (tag: string) => boolean,
  ) {
    this.gpos = readLayoutTable(font, 'GPOS');
    this.gdef = readGdef(font);
  }

  /** Scripts with their languages, as in `latn` and `latn TRK`. */
  get languages(): string[] {
    const scripts = this.gpos?.scripts ?? [];
    return scripts.flatMap(({ tag, languageSystems }) => [
      tag,
      ...languageSystems.map((language) => `${tag} ${language.tag}`),
    ]);
  }

  place(glyphs: readonly number[], language: string): Placement[] {
    const placements = glyphs.map((): Placement => ({ by: [0, 0, 0, 0], along: [] }));
    for (const index of this.lookupsFor(language)) {
      const lookup = this.gpos!.lookupAt(index);
      const seen = glyphs.flatMap((glyph, i) => (this.isIgnored(glyph, lookup) ? [] : i));
      for (let at = 0; at < seen.length; at++) {
        const applied = lookup.subtables.some((subtable) =>
          this.apply(subtable, glyphs, seen, at, placements),
        );
        const consumed = lookup.subtables.some(
          (subtable) => 'consumesSecond' in subtable && subtable.consumesSecond,
        );
        if (applied && consumed) at++;
      }
    }
    return placements;
  }

  private lookupsFor(language: string): number[] {
    const [scriptTag, languageTag] = language.split(/ (?=.)/);
    const script = this.gpos?.scripts.find(({ tag }) => tag === scriptTag);
    const own = script?.languageSystems.find(({ tag }) => tag === languageTag)?.system;
    const system = own ?? script?.defaultLanguageSystem;
    const features = [
      ...(system?.features ?? []),
      ...(system?.required === undefined ? [] : [system.required]),
    ];
    const wanted = features.map((i) => this.gpos!.features[i]).filter(({ tag }) => this.isWanted(tag));
    const lookups = new Set(wanted.flatMap((feature) => feature.lookups));
    return [...lookups].sort((a, b) => a - b);
  }

  private isIgnored(glyph: number, { flag, markFilteringSet }: Lookup): boolean {
    const is = this.gdef?.glyphClasses?.get(glyph);
    if (is === glyphClass.base) return (flag & ignored.base) !== 0;
    if (is === glyphClass.ligature) return (flag & ignored.ligature) !== 0;
    if (is !== glyphClass.mark) return false;
    if (flag & ignored.mark) return true;
    if (markFilteringSet !== undefined) return !this.gdef!.markGlyphSets[markFilteringSet]?.includes(glyph);
    const type = (flag & lookupFlag.markAttachmentTypeMask) >>> 8;
    return type !== 0 && this.gdef!.markAttachmentClasses.get(glyph) !== type;
  }

  /** @param seen which glyphs aren't ignored, by their places @returns whether later subtables aren't asked */
  private apply(
    subtable: Subtable,
    glyphs: readonly number[],
    seen: readonly number[],
    at: number,
    placements: Placement[],
  ): boolean {
    const [here, next] = [seen[at], seen[at + 1]];
    const glyph = glyphs[here];
    switch (subtable.kind) {
      case 'single adjustment': {
        const value = subtable.values.get(glyph);
        if (value) this.move(placements[here], value);
        return value !== undefined;
      }
      case 'glyph pairs':
      case 'class pairs': {
        const pair = next === undefined ? undefined : pairIn(subtable, glyph, glyphs[next]);
        if (!pair) return false;
        this.move(placements[here], pair.first);
        this.move(placements[next], pair.second);
        return true;
      }
      case 'cursive': {
        const [exit, entry] = [subtable.glyphs.get(glyph)?.exit, subtable.glyphs.get(glyphs[next])?.entry];
        return this.join(placements[here], exit, entry);
      }
      case 'mark to base':
      case 'mark to mark':
      case 'mark to ligature':
        return this.attach(subtable, glyphs, seen, at, placements[here]);
      default:
        return false;
    }
  }

  private attach(
    subtable: Extract<Positioning, { marks: unknown }>,
    glyphs: readonly number[],
    seen: readonly number[],
    at: number,
    placement: Placement,
  ): boolean {
    const isMark = (i: number) => this.gdef?.glyphClasses?.get(glyphs[i]) === glyphClass.mark;
    const before = seen.slice(0, at).reverse();
    const base = before.find((i) => subtable.kind === 'mark to mark' || !isMark(i));
    const mark = subtable.marks.get(glyphs[seen[at]]);
    if (!mark || base === undefined) return false;
    const components =
      subtable.kind === 'mark to ligature'
        ? subtable.ligatures.get(glyphs[base])
        : [subtable.bases.get(glyphs[base]) ?? []];
    const joined = components?.map((anchors) => this.join(placement, anchors[mark.markClass], mark.anchor));
    return joined?.some(Boolean) ?? false;
  }

  private move(placement: Placement, { values, devices }: Value): void {
    values.forEach((value, i) => (placement.by[i] += value));
    devices?.forEach((device, i) => this.note(placement, i, 1, device));
  }

  private join(placement: Placement, on: Anchor | undefined, by: Anchor | undefined): boolean {
    if (!on || !by) return false;
    placement.by[0] += on.x - by.x;
    placement.by[1] += on.y - by.y;
    on.devices?.forEach((device, i) => this.note(placement, i, 1, device));
    by.devices?.forEach((device, i) => this.note(placement, i, -1, device));
    return true;
  }

  private note(placement: Placement, which: number, sign: 1 | -1, device: Device | undefined): void {
    if (device?.kind !== 'variation') return;
    const store = this.gdef?.variationStore;
    const data = store?.data[device.outerIndex];
    const deltas = data?.rows[device.innerIndex] ?? [];
    deltas.forEach((delta, column) => {
      const region = store!.regions[data!.regionIndexes[column]];
      if (delta !== 0) placement.along.push(`${which}: ${sign * delta} at ${region.join()}`);
    });
    placement.along.sort();
  }
}

/** The value of a pair, as browsers find it. */
export function pairIn(subtable: PairAdjustment, first: number, second: number): PairValue | undefined {
  if (subtable.kind === 'glyph pairs') {
    const found = pairsIn(subtable.pairs).find((pair) => pair[0] === first && pair[1] === second);
    return found && subtable.values[found[2]];
  }
  if (!subtable.coverage.includes(first)) return undefined;
  const row = subtable.matrix[subtable.firstClasses.get(first) ?? 0] as Uint32Array | undefined;
  return row && subtable.values[row[subtable.secondClasses.get(second) ?? 0]];
}

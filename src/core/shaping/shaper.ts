// OpenType: text to glyphs and their advances, as browsers set it, for scripts whose letters stand in the order of typing, joined ones too

import { DenseGlyphError } from '../../errors.js';
import { readGdef } from '../layout/common/gdef.js';
import { GlyphClasses, glyphClass, type ShapingGlyph } from '../layout/common/glyph-run.js';
import { lookupFlag } from '../layout/common/lookup.js';
import { nextPlace, type Attachments } from '../layout/common/work.js';
import { horizontalKerning, type KernPairs } from '../layout/kern-pairs.js';
import { readLayoutTable, type LanguageSystem, type LayoutTable } from '../layout/layout-table.js';
import type { Font } from '../sfnt/font.js';
import { head } from '../tables/index.js';
import { Deltas, placeAt, type Place } from '../variations/place.js';
import { Advances } from './advances.js';
import { applyLookup, type Run } from './applying.js';
import { CharacterMap } from './characters.js';
import { languageSystemTag } from './languages.js';
import { formsOf, joiningForms } from './joining.js';
import { isRightToLeft, scriptRuns } from './scripts.js';

/** How text is set. */
export interface ShapingStyle {
  /** BCP 47. */
  language?: string;
  /** Features by tag: 1 or more turns one on, 0 off; what browsers apply without being asked is on. */
  features?: ReadonlyMap<string, number>;
}

/** A glyph in its place, in font units. */
export interface ShapedGlyph {
  glyph: number;
  /** Where the first character that it stands for is in the text, UTF-16. */
  at: number;
  advance: number;
  x: number;
  y: number;
}

/** On in all text (CSS Fonts 4, section 7.1; OpenType: recommended for all scripts). */
const alwaysOn: readonly string[] = [
  'abvm', 'blwm', 'calt', 'ccmp', 'clig', 'curs', 'dist', 'kern', 'liga', 'locl', 'mark', 'mkmk', 'rclt', 'rlig',
]; // prettier-ignore

/** Features that are applied one after another before all others, each to all of a text. */
const stagesBefore: Readonly<Record<string, readonly (readonly string[])[] | undefined>> = {
  arab: [['rvrn'], ['ccmp', 'locl'], ...joiningForms.map((form) => [form]), ['rlig'], ['calt', 'rclt']],
};
const usualStages: readonly (readonly string[])[] = [['rvrn']];

/** The lookups of one table for a script, a language and features. */
interface Plan {
  table: LayoutTable;
  /** One after another; in each the lookups in the order of the list. */
  stages: readonly Stage[];
  hasKern: boolean;
}

interface Stage {
  lookups: readonly number[];
  /** The only glyphs that it is applied to. */
  form?: string | undefined;
}

/** Sets text in a font, at one place on its axes. */
export class Shaper {
  readonly unitsPerEm: number;
  private readonly characters: CharacterMap;
  private readonly classes: GlyphClasses;
  private readonly advances: Advances;
  private readonly place: Place;
  private readonly deltas: Deltas | undefined;
  private readonly gsub: LayoutTable | undefined;
  private readonly gpos: LayoutTable | undefined;
  private readonly kern: KernPairs | undefined;
  private readonly drawn = new Map<number, boolean>();
  private readonly plans = new Map<string, Plan | undefined>();

  /**
   * @param variations user coordinates by axis tag
   * @throws DenseGlyphError `table-damaged`, `table-missing`
   */
  constructor(font: Font, variations: Readonly<Record<string, number>> = {}) {
    this.unitsPerEm = font.table(head).unitsPerEm;
    this.place = placeAt(font, variations);
    const gdef = readGdef(font);
    this.classes = new GlyphClasses(gdef);
    this.deltas = gdef?.variationStore && new Deltas(gdef.variationStore, this.place);
    this.gsub = readable(font, 'GSUB');
    this.gpos = readable(font, 'GPOS');
    this.kern = horizontalKerning(font);
    this.characters = new CharacterMap(font);
    this.advances = new Advances(font, this.place);
  }

  /** Whether the font draws a character. */
  has(codePoint: number): boolean {
    let found = this.drawn.get(codePoint);
    if (found === undefined) {
      found = this.characters.map(String.fromCodePoint(codePoint)).every(({ glyph }) => glyph !== 0);
      this.drawn.set(codePoint, found);
    }
    return found;
  }

  /**
   * @param text one line, without breaks
   * @returns undefined where a script is in it whose letters are reordered, which isn't known here
   */
  shape(text: string, style: ShapingStyle = {}): ShapedGlyph[] | undefined {
    const runs = scriptRuns(text);
    if (!runs) return undefined;
    const shaped: ShapedGlyph[] = [];
    let start = 0;
    for (const { text: part, script } of runs) {
      for (const { glyph, at, advance, x, y } of this.shapeRun(part, script, style))
        shaped.push({ glyph, at: start + at, advance, x, y });
      start += part.length;
    }
    return shaped;
  }

  /** How long a line is, in font units; undefined as for `shape`. */
  advanceOf(text: string, style?: ShapingStyle): number | undefined {
    return this.shape(text, style)?.reduce((sum, { advance }) => sum + advance, 0);
  }

  private shapeRun(text: string, script: string, style: ShapingStyle): ShapingGlyph[] {
    const mapped = this.characters.map(text);
    const widths = new Map(
      mapped.flatMap((one) => (one.width === undefined ? [] : [[one.at, one.width] as const])),
    );
    const run: ShapingGlyph[] = mapped;
    const attached: Attachments = new Map();
    const rightToLeft = isRightToLeft(script);
    const { classes, deltas } = this;
    const work: Run = { glyphs: run, classes, deltas, attached, isRightToLeft: rightToLeft };
    if (script === 'arab')
      for (const [i, form] of formsOf(run.map(({ codePoint }) => codePoint)).entries()) run[i].form = form;
    const gsub = this.planFor(this.gsub, script, style);
    applyPlan(gsub, work);
    for (const one of run) {
      const width = widths.get(one.at);
      one.advance = width === undefined ? this.advances.of(one.glyph) : width * this.unitsPerEm;
    }
    const gpos = this.planFor(this.gpos, script, style);
    applyPlan(gpos, work);
    if (this.kern && !gpos?.hasKern && style.features?.get('kern') !== 0)
      this.applyKern(this.kern, run, rightToLeft);
    for (const one of run) {
      if (this.classes.of(one) === glyphClass.mark || one.ignorable !== 'no') one.advance = 0;
      if (one.ignorable !== 'no') one.x = 0;
    }
    settle(run, attached);
    return run;
  }

  /** Its pairs stand as they are seen, from left to right. */
  private applyKern(kern: KernPairs, run: ShapingGlyph[], rightToLeft: boolean): void {
    const { classes } = this;
    const work = { run, classes, lookup: { flag: lookupFlag.ignoreMarks }, isPositioning: true };
    for (let at = 0; at < run.length; at++) {
      if (classes.of(run[at]) === glyphClass.mark) continue;
      const second = nextPlace(work, at, { step: 1 });
      if (second < 0) continue;
      const pair = [run[at].glyph, run[second].glyph] as const;
      run[at].advance += rightToLeft ? kern(pair[1], pair[0]) : kern(...pair);
    }
  }

  private planFor(table: LayoutTable | undefined, script: string, style: ShapingStyle): Plan | undefined {
    if (!table) return undefined;
    const { language = '', features } = style;
    const key = `${table.tag} ${script} ${language} ${features ? JSON.stringify([...features]) : ''}`;
    if (!this.plans.has(key)) this.plans.set(key, this.planOf(table, script, language, features));
    return this.plans.get(key);
  }

  private planOf(
    table: LayoutTable,
    script: string,
    language: string,
    features: ReadonlyMap<string, number> | undefined,
  ): Plan | undefined {
    const system = systemFor(table, script, language);
    if (!system) return undefined;
    const before = stagesBefore[script] ?? usualStages;
    const isAlwaysOn = (tag: string) => alwaysOn.includes(tag) || before.some((tags) => tags.includes(tag));
    const isOn = (tag: string) => (features?.get(tag) ?? (isAlwaysOn(tag) ? 1 : 0)) > 0;
    const stages = [...before, []].map(() => new Set<number>());
    let hasKern = false;
    for (const index of [...(system.required === undefined ? [] : [system.required]), ...system.features]) {
      const feature = table.features[index];
      if (!feature) continue;
      const { tag } = feature;
      if (tag === 'kern') hasKern = true;
      if (tag !== 'rvrn' && index !== system.required && !isOn(tag)) continue;
      const stage = before.findIndex((tags) => tags.includes(tag));
      for (const lookup of this.lookupsOf(table, index)) stages.at(stage)!.add(lookup);
    }
    return {
      table,
      stages: stages.map((lookups, i) => ({
        lookups: [...lookups].sort((a, b) => a - b),
        form: joiningForms.find((form) => before[i]?.includes(form)),
      })),
      hasKern,
    };
  }

  /** At this place on the axes, a feature may be another (OpenType: FeatureVariations Table). */
  private lookupsOf(table: LayoutTable, index: number): readonly number[] {
    for (const { conditions, substitutions } of table.featureVariations) {
      const holds = conditions.every(({ axisIndex, minimum, maximum }) => {
        const at = Math.round((this.place[axisIndex] ?? 0) * 0x4000);
        return at >= minimum && at <= maximum;
      });
      if (!holds) continue;
      return substitutions.find(({ feature }) => feature === index)?.lookups ?? table.features[index].lookups;
    }
    return table.features[index].lookups;
  }
}

function applyPlan(plan: Plan | undefined, run: Run): void {
  for (const { lookups, form } of plan?.stages ?? [])
    for (const lookup of lookups) applyLookup(plan!.table, lookup, run, form);
}

/** A table that browsers refuse is as good as none. */
function readable(font: Font, tag: 'GSUB' | 'GPOS'): LayoutTable | undefined {
  try {
    return readLayoutTable(font, tag);
  } catch (cause) {
    if (cause instanceof DenseGlyphError && cause.code === 'table-damaged') return undefined;
    throw cause;
  }
}

/** OpenType: the script, else the default one; of it the language, else what holds for all. */
function systemFor({ scripts }: LayoutTable, script: string, language: string): LanguageSystem | undefined {
  const found = [script, 'DFLT', 'dflt', 'latn'].flatMap(
    (tag) => scripts.find((one) => one.tag === tag) ?? [],
  )[0];
  if (!found) return undefined;
  const tag = languageSystemTag(language);
  return found.languageSystems.find((one) => one.tag === tag)?.system ?? found.defaultLanguageSystem;
}

/** What stands on another glyph goes where that is. */
function settle(run: ShapingGlyph[], attached: Attachments): void {
  if (attached.size === 0) return;
  const places = new Map(run.map((one, i) => [one, i]));
  for (const [i, one] of run.entries()) {
    const base = attached.get(one);
    if (!base) continue;
    const from = places.get(base) ?? i;
    one.x += base.x;
    one.y += base.y;
    for (let k = from; k < i; k++) one.x -= run[k].advance;
  }
}

import { posix } from 'node:path';
import { faceKey, faceLabel } from '../../core/face/index.js';
import { slug } from '../../core/face/slug.js';
import { pathOfAddress } from '../../io/addresses.js';
import { filesOf } from '../../io/earlier-files.js';
import { sha256 } from '../../kit/digest.js';
import type { KeptStylesheet } from '../../kit/kit.js';
import type { CutFamilies } from '../../kit/planning/cut.js';
import { ruleFate, shippedOf, type Shipped } from '../../kit/replacing/index.js';
import type { DemandingPage } from '../../kit/planning/demand.js';
import { importedAddress, readRules } from '../../site/css/rules.js';
import { parseStyles } from '../../site/css/structure.js';
import { addressEdits, addressesIn } from '../../site/edits/address-edits.js';
import { applied, removal, type Edit } from '../../site/edits/edits.js';
import { itemsByRule } from '../../site/edits/font-face-items.js';
import { faceRuleOf, type FaceRule } from '../../site/usage/declared-faces.js';
import type { AdoptedFolder } from '../project/adopted-sheets.js';
import type { AdoptedStylesheet } from '../project/ledger.js';

/** What stylesheets of hosts have besides the faces of a kit, as files of the kit. */
export interface KeptStylesheets {
  stylesheets: KeptStylesheet[];
  files: Map<string, Uint8Array>;
}

/** Where they lie in the kit. */
const folderInKit = 'styles';

/**
 * What is left of the stylesheets that came home once the kit's faces are taken out of them: their other rules, and faces of
 * families that pages draw and the kit hasn't. Faces that no page draws go.
 */
export function keptStylesheets(
  folders: readonly AdoptedFolder[],
  cut: CutFamilies,
  pages: readonly DemandingPage[],
): KeptStylesheets {
  const found: KeptStylesheets = { stylesheets: [], files: new Map() };
  const asked = new Set(
    pages.flatMap(({ faces }) =>
      [...faces.values()].flatMap(({ stack }) => stack.map((name) => name.toLowerCase())),
    ),
  );
  for (const { folder, ledger } of folders) {
    const keeper = new SheetKeeper(folder, cut, pages.length > 0 ? asked : undefined, found.files);
    for (const sheet of ledger.stylesheets) {
      if (!/^(?:https?:)?\/\//i.test(sheet.url)) continue;
      found.stylesheets.push(keeper.kept(sheet));
    }
  }
  return found;
}

class SheetKeeper {
  private readonly read: (file: string) => Uint8Array | undefined;
  private readonly shipped: Shipped;
  private readonly families: ReadonlySet<string>;

  /** @param asked families that pages ask for; undefined where no page was read */
  constructor(
    folder: string,
    cut: CutFamilies,
    private readonly asked: ReadonlySet<string> | undefined,
    private readonly files: Map<string, Uint8Array>,
  ) {
    this.read = filesOf(folder);
    this.shipped = shippedOf(cut);
    this.families = new Set(cut.families.map(({ family }) => family.toLowerCase()));
  }

  kept({ url, families, file }: AdoptedStylesheet): KeptStylesheet {
    const stays = (why: string): KeptStylesheet => ({ url, families, undrawn: [], stays: why });
    if (families.length === 0) return stays('it declares no faces');
    if (file === undefined) return stays('what else it says did not come home; call dense-glyph adopt again');
    const undrawn = new Set<string>();
    const left = this.left(file, undrawn, []);
    if (left === undefined) return stays(`${file} is not there any more; call dense-glyph adopt again`);
    const kept = { url, families, undrawn: [...undrawn].sort() };
    return left === '' ? kept : { ...kept, file: left };
  }

  /** @returns the place in the kit of what is left; nothing for nothing, undefined where it can't be read */
  private left(file: string, undrawn: Set<string>, around: readonly string[]): string | undefined {
    const bytes = this.read(file);
    if (!bytes) return undefined;
    const css = new TextDecoder().decode(bytes);
    const edits: Edit[] = [];
    const rules = readRules(css, file);
    for (const [item, rule] of itemsByRule(css, rules.fontFaces))
      if (this.isReplaced(faceRuleOf(rule), undrawn)) edits.push(removal(css, item.offset, item.end));
    const isGone = (at: number) => edits.some(({ start, end }) => at >= start && at < end);
    const folder = posix.dirname(file);
    const local = new Map<number, string>();
    for (const { address, start, isImport } of addressesIn(css)) {
      if (isGone(start) || /^[a-z][a-z0-9+.-]*:|^\/\//i.test(address)) continue;
      const [path, fragment = ''] = address.split(/(?=#)/);
      const named = posix.join(folder, pathOfAddress(path) ?? path);
      if (isImport) {
        const inner = around.includes(named) ? '' : this.left(named, undrawn, [...around, file]);
        if (inner === '') edits.push(...importsOf(css, start));
        else if (inner !== undefined) local.set(start, inner.slice(folderInKit.length + 1));
        continue;
      }
      const content = this.read(named);
      if (!content) continue;
      const own = `${folderInKit}/files/${posix.basename(named)}`;
      this.files.set(own, content);
      local.set(start, `files/${posix.basename(named)}${fragment}`);
    }
    const others = addressEdits(css, ({ start }) => local.get(start)).filter(({ start }) => !isGone(start));
    const text = applied(css, [...edits, ...others]);
    if (isEmpty(text)) return '';
    const content = new TextEncoder().encode(text);
    const name = posix.basename(file, '.css').replace(/-[0-9a-f]{8}$/, '');
    const own = `${folderInKit}/${slug(name)}-${sha256(content).slice(0, 8)}.css`;
    this.files.set(own, content);
    return own;
  }

  private isReplaced(rule: FaceRule, undrawn: Set<string>): boolean {
    const name = rule.family.toLowerCase();
    // What a host serves is asked for as if it were the site's: its stylesheet goes where the kit has all of it.
    const { becomes, isForOthers } = ruleFate(rule, 'the site', this.shipped);
    if (becomes === 'goes' && !this.shipped.leftOut.has(faceKey(rule))) return true;
    // Of a family of the kit what isn't in it was left out on purpose, as no page draws it or the config lists others.
    const isAsked = this.asked?.has(name) ?? true;
    if (!this.families.has(name) && isAsked) return false;
    const others = isForOthers ? ' for other characters' : '';
    undrawn.add(`${rule.family} ${faceLabel({ ...rule, stretch: rule.stretch })}${others}`);
    return true;
  }
}

/** The import whose address stands at a place. */
const importsOf = (css: string, at: number): Edit[] =>
  parseStyles(css).flatMap((item) =>
    item.kind === 'at-rule' &&
    item.name === 'import' &&
    item.offset <= at &&
    at < item.end &&
    importedAddress(item.prelude) !== undefined
      ? [removal(css, item.offset, item.end)]
      : [],
  );

/** Whether nothing is left but comments, and the word for its encoding. */
const isEmpty = (css: string): boolean =>
  parseStyles(css).every(
    (item) =>
      item.kind === 'at-rule' &&
      (item.name === 'charset' || (item.block?.length === 0 && item.name !== 'layer')),
  );

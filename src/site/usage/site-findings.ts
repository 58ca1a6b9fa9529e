import { boldFrom } from '../../core/face/matching.js';
import { finding, type Finding, type Severity } from '../../findings.js';
import { drawnBy, type FaceRule } from './declared-faces.js';
import type { HostedReference } from './hosted-references.js';
import type { AskingRule, PageFace } from './page-faces.js';
import type { OnPages, SiteProblem } from './site-problems.js';

/** A page with the faces that it asks for and the rules that declare some. */
export interface PageDemand {
  page: string;
  faces: ReadonlyMap<string, PageFace>;
  rules: readonly FaceRule[];
}

export type SiteFinding = Finding & { pages: string[] };

/** All that is found on a site, the gravest first. */
export function siteFindings(
  pages: readonly PageDemand[],
  problems: readonly OnPages<SiteProblem>[],
  hosted: readonly OnPages<HostedReference>[],
): SiteFinding[] {
  const collected = new Collector();
  for (const page of pages) {
    for (const face of page.faces.values()) {
      if (face.drawn.size + face.possible.size === 0) continue;
      undeclaredFamily(page, face, collected);
      fakedStyles(page, face, collected);
    }
  }
  unusedFaces(pages, collected);
  for (const problem of problems) missingFile(problem, collected);
  for (const reference of hosted) hostedReference(reference, collected);
  return collected.all();
}

/** Findings once each, with the pages where they hold. */
class Collector {
  private readonly found = new Map<string, { finding: Finding; pages: Set<string> }>();

  add(one: Finding, pages: Iterable<string>): void {
    const key = JSON.stringify([one.code, one.message, one.place]);
    let known = this.found.get(key);
    if (!known) this.found.set(key, (known = { finding: one, pages: new Set() }));
    for (const page of pages) known.pages.add(page);
  }

  all(): SiteFinding[] {
    return [...this.found.values()]
      .map(({ finding: one, pages }) => ({ ...one, pages: [...pages].sort() }))
      .sort(
        (a, b) =>
          severities.indexOf(a.severity) - severities.indexOf(b.severity) || b.pages.length - a.pages.length,
      );
  }
}

const severities: readonly Severity[] = ['error', 'warning', 'note'];

/** Families that systems have, or that CSS defines; nobody declares them. */
const systemFamilies =
  /^(serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-.*|math|emoji|fangsong|-apple-system|blinkmacsystemfont|arial|arial black|helvetica|helvetica neue|times|times new roman|georgia|verdana|tahoma|trebuchet ms|courier|courier new|lucida .*|consolas|menlo|monaco|segoe ui.*|roboto|ubuntu.*|cantarell|oxygen.*|fira sans|droid sans|noto .*|liberation .*|sfmono-regular|sf mono|calibri|cambria|palatino.*|garamond|apple color emoji|impact|comic sans ms|hiragino .*|yu .*|meiryo|ms .*|simsun|simhei|microsoft .*|pingfang .*|malgun gothic)$/i;

/** The rule that most of the text with a face stands behind, by property. */
function ruleFor(face: PageFace, property: string): AskingRule | undefined {
  return [...face.rules.values()]
    .filter((one) => one.property === property)
    .sort((a, b) => b.pieces - a.pieces)[0];
}

const placeOf = (rule: AskingRule | undefined) =>
  rule ? { file: rule.file, line: rule.line, selector: rule.selector } : {};

/** The first of a stack is meant; where nobody declares it, visitors see another one. */
function undeclaredFamily({ page, rules }: PageDemand, face: PageFace, collected: Collector): void {
  const [first] = face.stack;
  if (first === undefined || systemFamilies.test(first)) return;
  if (rules.some(({ family }) => family.toLowerCase() === first.toLowerCase())) return;
  const instead = face.stack.slice(1).join(', ') || 'the browser’s own font';
  for (const rule of [...face.rules.values()].filter(({ property }) => property === 'font-family')) {
    const message = `"${first}" is asked for, and no rule declares it; ${instead} is drawn instead`;
    collected.add(finding('family-undeclared', message, placeOf(rule)), [page]);
  }
}

function fakedStyles({ page, rules }: PageDemand, face: PageFace, collected: Collector): void {
  const { asked, synthesis } = face;
  for (const { face: rule } of drawnBy(rules, asked, [...face.drawn].slice(0, 1))) {
    if (!rule) continue;
    const has = `${rule.weight[0] === rule.weight[1] ? rule.weight[0] : rule.weight.join(' to ')} ${rule.style}`;
    if (asked.weight >= boldFrom && rule.weight[1] < boldFrom && synthesis.includes('weight')) {
      const message = `${asked.family} ${asked.weight} is faked: the nearest face that is declared is ${has}`;
      const place = placeOf(ruleFor(face, 'font-weight') ?? ruleFor(face, 'font-family'));
      const advice = `declare ${asked.family} ${asked.weight}, or ask for a weight that is there`;
      collected.add(finding('faked-bold', message, { ...place, advice }), [page]);
    }
    if (asked.style !== 'normal' && rule.style === 'normal' && synthesis.includes('style')) {
      const message = `${asked.family} ${asked.weight} ${asked.style} is faked: the nearest face that is declared is ${has}`;
      const place = placeOf(ruleFor(face, 'font-style') ?? ruleFor(face, 'font-family'));
      const advice = `declare ${asked.family} ${asked.weight} ${asked.style}, or leave the slant out`;
      collected.add(finding('faked-slant', message, { ...place, advice }), [page]);
    }
  }
}

/** Rules of which no page draws anything. */
function unusedFaces(pages: readonly PageDemand[], collected: Collector): void {
  const used = new Set<string>();
  const all = new Map<string, { rule: FaceRule; pages: Set<string> }>();
  const keyOf = ({ rule }: FaceRule) => `${rule.file}:${rule.line}:${rule.column}`;
  for (const { page, faces, rules } of pages) {
    for (const rule of rules) {
      const entry = all.get(keyOf(rule));
      if (entry) entry.pages.add(page);
      else all.set(keyOf(rule), { rule, pages: new Set([page]) });
    }
    for (const face of faces.values()) {
      for (const { face: rule } of drawnBy(rules, face.asked, [...face.drawn, ...face.possible]))
        if (rule) used.add(keyOf(rule));
    }
  }
  for (const [key, { rule, pages: where }] of all) {
    if (used.has(key)) continue;
    const style = rule.style === 'normal' ? '' : ` ${rule.style}`;
    const message = `${rule.family} ${rule.weight[0]}${style} is declared, and no page draws it`;
    collected.add(finding('face-unused', message, { file: rule.rule.file, line: rule.rule.line }), where);
  }
}

function missingFile(problem: OnPages<SiteProblem>, collected: Collector): void {
  const { code, url, file, line, family, nearest, pages } = problem;
  if (problem.reason !== undefined) {
    const place = line > 0 ? { file, line } : { file };
    collected.add(finding(code, `${url} cannot be read: ${problem.reason}`, place), pages);
    return;
  }
  const what = family === undefined ? url : `${url} of ${family}`;
  const advice = nearest === undefined ? {} : { advice: `write ${nearest}` };
  collected.add(finding(code, `${what} is not there`, { file, line, ...advice }), pages);
}

const kindWords: Readonly<Record<HostedReference['kind'], string>> = {
  stylesheet: 'a stylesheet comes',
  import: 'a stylesheet is imported',
  font: 'a font comes',
  preconnect: 'a connection is made',
  'dns-prefetch': 'a name is looked up',
  preload: 'a font is preloaded',
};

function hostedReference(reference: OnPages<HostedReference>, collected: Collector): void {
  const { kind, url, file, line } = reference;
  const host = /^(?:https?:)?\/\/([^/?#]*)/i.exec(url)?.[1] ?? url;
  const message = `${kindWords[kind]} ${kind === 'preconnect' || kind === 'dns-prefetch' ? 'of' : 'from'} another host, ${host}`;
  collected.add(finding('hosted-reference', message, { file, line, url }), reference.pages);
}

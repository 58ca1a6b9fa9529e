import type { SiteFolder, SitePage } from '../io/site-pages.js';
import { readRules, type FontFaceDescriptors, type StyleRules } from '../site/css/rules.js';
import { decodedStylesheet } from '../site/html/encoding.js';
import type { StylesheetSource } from '../site/html/stylesheets.js';
import type { HostedReference } from '../site/usage/hosted-references.js';
import type { SiteProblem } from '../site/usage/site-findings.js';

/** The stylesheets of a site, each read once, and what could not be had. */
export class SiteStylesheets {
  private readonly files = new Map<string, StyleRules>();
  private readonly inline = new Map<string, StyleRules>();
  /** By what is wrong, with the pages where. */
  readonly problems = new Map<string, SiteProblem & { pages: Set<string> }>();
  readonly hosted = new Map<string, HostedReference & { pages: Set<string> }>();
  /** Paths by the file that is shown, for links in it. */
  private readonly paths = new Map<string, string>();

  constructor(private readonly site: SiteFolder) {}

  for(page: SitePage): StylesheetSource {
    this.paths.set(page.page, page.path);
    return {
      inline: (css, file, line) => {
        const key = `${file}:${line}:${css}`;
        let rules = this.inline.get(key);
        if (!rules) this.inline.set(key, (rules = readRules(css, file, Math.max(1, line))));
        return rules;
      },
      linked: (address, from, line) => this.linked(address, from, line, page.page),
    };
  }

  addHosted(page: string, references: readonly HostedReference[]): void {
    for (const one of references) {
      const key = `${one.kind} ${one.url} ${one.file}:${one.line}`;
      const known = this.hosted.get(key);
      if (known) known.pages.add(page);
      else this.hosted.set(key, { ...one, pages: new Set([page]) });
    }
  }

  private linked(address: string, from: string, line: number, page: string) {
    if (/^(https?:)?\/\//i.test(address)) {
      const kind = from === page ? 'stylesheet' : 'import';
      this.addHosted(page, [{ kind, url: address, file: from, line }]);
      return undefined;
    }
    const fromPath = this.paths.get(from);
    const path = fromPath === undefined ? undefined : this.site.linked(address, fromPath);
    if (path === undefined) {
      this.addProblem({ code: 'stylesheet-missing', url: address, file: from, line }, page);
      return undefined;
    }
    const file = this.site.shown(path);
    this.paths.set(file, path);
    let rules = this.files.get(path);
    if (!rules) {
      rules = readRules(decodedStylesheet(this.site.read(path)), file);
      this.files.set(path, rules);
    }
    for (const face of rules.fontFaces) this.checkSources(face, path, page);
    return { file, rules };
  }

  /** Font files that aren't there. */
  private checkSources(face: FontFaceDescriptors, path: string, page: string): void {
    for (const { url } of face.sources) {
      if (url === undefined || /^data:/i.test(url)) continue;
      if (/^(https?:)?\/\//i.test(url)) {
        this.addHosted(page, [{ kind: 'font', url, file: face.file, line: face.line }]);
      } else if (this.site.linked(url, path) === undefined) {
        this.addProblem(
          { code: 'font-missing', url, file: face.file, line: face.line, family: face.family },
          page,
        );
      }
    }
  }

  private addProblem(problem: SiteProblem, page: string): void {
    const key = `${problem.code} ${problem.file}:${problem.line} ${problem.url}`;
    const known = this.problems.get(key);
    if (known) known.pages.add(page);
    else this.problems.set(key, { ...problem, pages: new Set([page]) });
  }
}

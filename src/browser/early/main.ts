/** Notes what a page shows while it loads, before scripts put something else in its place. Run by a browser before all others. */

/** Each is a document; a page that goes on showing something new is read at rest. */
const mostKept = 6;
const unseen = /^(?:script|style|title|template|noscript)$/i;

const kept: { html: string; texts: string[] }[] = [];
const known = new Set<string>();
let isChanged = true;

function textsNow(): Set<string> {
  const texts = new Set<string>();
  const walker = document.createTreeWalker(document.documentElement, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const text = node.nodeValue?.trim() ?? '';
    if (text !== '' && !unseen.test(node.parentElement?.tagName ?? '')) texts.add(text);
  }
  return texts;
}

function look(): void {
  if (isChanged && kept.length < mostKept) {
    isChanged = false;
    const fresh = [...textsNow()].filter((text) => !known.has(text));
    for (const text of fresh) known.add(text);
    if (fresh.length > 0) kept.push({ html: document.documentElement.outerHTML, texts: fresh });
  }
  if (kept.length < mostKept) requestAnimationFrame(look);
}

new MutationObserver(() => (isChanged = true)).observe(document, {
  subtree: true,
  childList: true,
  characterData: true,
});
requestAnimationFrame(look);

/** Milliseconds. */
const quiet = 400;

Object.assign(globalThis, {
  /** Whether nothing changes for a while; it ends with the first change. */
  denseGlyphStill: (): Promise<boolean> =>
    new Promise((done) => {
      const end = (isStill: boolean) => {
        observer.disconnect();
        done(isStill);
      };
      const observer = new MutationObserver(() => end(false));
      observer.observe(document, { subtree: true, childList: true, characterData: true });
      setTimeout(() => end(true), quiet);
    }),
  /** Documents whose text isn't there any more, in part or whole. */
  denseGlyphEarlier: (): string[] => {
    const now = textsNow();
    return kept
      .filter(({ texts }) => texts.some((text) => !now.has(text)))
      .map(({ html }) => `<!doctype html>${html}`);
  },
});

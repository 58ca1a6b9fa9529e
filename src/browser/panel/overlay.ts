/** The page in its stand-ins on top of the page in its faces, with a slider between them. */

const flag = 'rehearsal-stand-ins';

/** Whether this is the page that lies on top. */
export const isOverlaid = (): boolean => new URLSearchParams(location.search).has(flag);

/** Takes the files out of the rules, so that stand-ins are drawn. */
export function standInsOnly(): void {
  const strip = (rules: CSSRuleList, remove: (index: number) => void) => {
    for (let i = rules.length - 1; i >= 0; i--) {
      const rule = rules[i];
      if (rule instanceof CSSFontFaceRule) {
        if (/url\(/.test(rule.style.getPropertyValue('src'))) remove(i);
      } else if (rule instanceof CSSImportRule && rule.styleSheet) stripSheet(rule.styleSheet);
      else if ('cssRules' in rule) {
        const grouping = rule as CSSGroupingRule;
        strip(grouping.cssRules, (index) => grouping.deleteRule(index));
      }
    }
  };
  const stripSheet = (sheet: CSSStyleSheet) => {
    try {
      strip(sheet.cssRules, (index) => sheet.deleteRule(index));
    } catch {
      // Of another host.
    }
  };
  const all = () => {
    for (const sheet of document.styleSheets) stripSheet(sheet);
  };
  addEventListener('DOMContentLoaded', all);
  addEventListener('load', all);
}

/** Puts the other state on top. @returns what moves the edge, 0 to 1 of the width, and what takes it away */
export function overlay(parent: ShadowRoot): { show: (share: number) => void; end: () => void } {
  const frame = document.createElement('iframe');
  const address = new URL(location.href);
  address.searchParams.set(flag, '');
  frame.src = address.href;
  frame.className = 'overlay';
  frame.title = 'The page in its stand-ins';
  parent.prepend(frame);
  const follow = () => frame.contentWindow?.scrollTo(scrollX, scrollY);
  addEventListener('scroll', follow, { passive: true });
  frame.addEventListener('load', follow);
  return {
    show: (share) => (frame.style.clipPath = `inset(0 ${(1 - share) * 100}% 0 0)`),
    end: () => {
      removeEventListener('scroll', follow);
      frame.remove();
    },
  };
}

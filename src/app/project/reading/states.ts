import type { PageSteps } from '../../../io/browsers/page-steps.js';

/** What happens on a page before it is read. */
export interface SiteState extends PageSteps {
  /** As its file or its URL has it. */
  page: string;
}

/** A page and what happens on it, in words: `/settings (click #menu)`. */
export function stateName({ page, language, fill = {}, click = [], hover }: SiteState): string {
  const steps = [
    ...(language === undefined ? [] : [`language ${language}`]),
    ...Object.keys(fill).map((selector) => `fill ${selector}`),
    ...click.map((selector) => `click ${selector}`),
    ...(hover === undefined ? [] : [`hover ${hover}`]),
  ];
  return `${page} (${steps.join(', ')})`;
}

/** Whether something happens on it, beyond what its visitor brings along. */
export const hasSteps = ({ fill, click, hover }: SiteState): boolean =>
  fill !== undefined || click !== undefined || hover !== undefined;

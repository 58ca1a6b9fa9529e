/** What happens on a page before it is read, in this order. */
export interface PageSteps {
  /** That the browser asks for (BCP 47). */
  language?: string | undefined;
  /** Fields, as selectors, and what is typed into each. */
  fill?: Readonly<Record<string, string>> | undefined;
  /** Selectors, one after the other. */
  click?: readonly string[] | undefined;
  /** A selector. */
  hover?: string | undefined;
}

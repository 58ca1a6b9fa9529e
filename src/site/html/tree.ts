export interface SiteElement {
  kind: 'element';
  /** In small letters; as written in foreign content. */
  name: string;
  attributes: ReadonlyMap<string, string>;
  parent: SiteElement | undefined;
  children: SiteNode[];
  /** Elements among the children, in order, and which of them this one is, from 0. */
  elements: SiteElement[];
  index: number;
  /** Line in the source, from 1; 0 for what the parser added, and where lines aren't those of a source. */
  readonly line: number;
  /** Set of class names. */
  classes: ReadonlySet<string>;
  /** A declarative shadow root. */
  shadow?: SiteElement | undefined;
  /** Of the root of a shadow tree. */
  host?: SiteElement | undefined;
  /** The slot of the parent's shadow tree that the element is put into. */
  slot?: SiteElement | undefined;
  /** Of a slot in a shadow tree: what is put into it. */
  assigned?: SiteNode[] | undefined;
}

export interface SiteText {
  kind: 'text';
  text: string;
}

export type SiteNode = SiteElement | SiteText;

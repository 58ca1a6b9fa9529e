import type { Token, TreeAdapter, TreeAdapterTypeMap } from 'parse5';
import type { SiteElement, SiteNode, SiteText } from './tree.js';

type Attribute = Token.Attribute;
type Namespace = ReturnType<TreeAdapter['getNamespaceURI']>;
type Mode = ReturnType<TreeAdapter['getDocumentMode']>;

/** A text while the parser works; comments are kept out of the tree. */
export interface BuiltText extends SiteText {
  parent: BuiltElement | undefined;
}

export class BuiltElement implements SiteElement {
  readonly kind = 'element';
  attributes: ReadonlyMap<string, string>;
  parent: SiteElement | undefined;
  children: (BuiltElement | BuiltText)[] = [];
  elements: SiteElement[] = [];
  index = 0;
  /** As the parser says, where it notes lines. */
  ownLine = 0;
  /** Its place among the elements of the document, and what knows their lines otherwise. */
  number = 0;
  lines: { of(number: number): number } | undefined;
  shadow: SiteElement | undefined;
  host: SiteElement | undefined;
  slot: SiteElement | undefined;
  assigned: SiteNode[] | undefined;
  /** Of a template. */
  content: BuiltElement | undefined;
  private names: ReadonlySet<string> | undefined;

  constructor(
    readonly name: string,
    readonly namespace: Namespace,
    readonly source: Attribute[],
  ) {
    this.attributes = attributesOf(source);
  }

  get line(): number {
    return this.lines?.of(this.number) ?? this.ownLine;
  }

  get classes(): ReadonlySet<string> {
    if (this.names) return this.names;
    const written = this.attributes.get('class');
    return (this.names = written ? new Set(written.split(/[\t\n\f\r ]+/).filter(Boolean)) : noNames);
  }
}

const noNames: ReadonlySet<string> = new Set();
const noAttributes: ReadonlyMap<string, string> = new Map();

function attributesOf(source: readonly Attribute[]): ReadonlyMap<string, string> {
  if (source.length === 0) return noAttributes;
  const attributes = new Map<string, string>();
  for (const { name, value } of source) attributes.set(name, value);
  return attributes;
}

type Node = BuiltElement | BuiltText;

type Types = TreeAdapterTypeMap<
  Node,
  BuiltElement,
  Node,
  BuiltElement,
  BuiltElement,
  BuiltElement,
  BuiltText,
  BuiltText,
  BuiltElement,
  BuiltText
>;

const container = (name: string) => new BuiltElement(name, '' as Namespace, []);

function insert(parent: BuiltElement, node: Node, at: number): void {
  // Comments and the like; what is empty and isn't text yet.
  if (node.kind === 'text' && node.text === '') return;
  node.parent = parent;
  if (at === parent.children.length) parent.children.push(node);
  else parent.children.splice(at, 0, node);
}

function insertText(parent: BuiltElement, text: string, at: number): void {
  const before = parent.children[at - 1];
  if (before?.kind === 'text') before.text += text;
  else insert(parent, { kind: 'text', text, parent }, at);
}

const note = (): BuiltText => ({ kind: 'text', text: '', parent: undefined });
const position = (parent: BuiltElement, reference: Node): number => parent.children.indexOf(reference);

/**
 * How parse5 builds our trees, without another tree in between. Where elements end isn't asked for, and to note it takes a third
 * of the time.
 */
export function treeBuilding(): TreeAdapter<Types> {
  let mode = 'no-quirks' as Mode;
  return {
    createDocument: () => container('#document'),
    createDocumentFragment: () => container('#fragment'),
    createElement: (name, namespace, attributes) => new BuiltElement(name, namespace, attributes),
    createCommentNode: note,
    createTextNode: (text) => ({ kind: 'text', text, parent: undefined }),
    setDocumentType: () => undefined,
    setDocumentMode: (_, value) => (mode = value),
    getDocumentMode: () => mode,
    appendChild: (parent, node) => insert(parent, node, parent.children.length),
    insertBefore: (parent, node, reference) => insert(parent, node, position(parent, reference)),
    insertText: (parent, text) => insertText(parent, text, parent.children.length),
    insertTextBefore: (parent, text, reference) => insertText(parent, text, position(parent, reference)),
    detachNode(node) {
      const parent = node.parent as BuiltElement | undefined;
      if (parent) parent.children.splice(position(parent, node), 1);
      node.parent = undefined;
    },
    setTemplateContent: (template, content) => (template.content = content),
    getTemplateContent: (template) => template.content!,
    adoptAttributes(element, attributes) {
      const missing = attributes.filter(({ name }) => !element.attributes.has(name));
      element.source.push(...missing);
      element.attributes = attributesOf(element.source);
    },
    getFirstChild: ({ children }) => children[0] ?? null,
    getChildNodes: ({ children }) => children,
    getParentNode: ({ parent }) => (parent as BuiltElement | undefined) ?? null,
    getAttrList: ({ source }) => source,
    getTagName: ({ name }) => name,
    getNamespaceURI: ({ namespace }) => namespace,
    getTextNodeContent: ({ text }) => text,
    getCommentNodeContent: () => '',
    getDocumentTypeNodeName: () => '',
    getDocumentTypeNodePublicId: () => '',
    getDocumentTypeNodeSystemId: () => '',
    isTextNode: (node): node is BuiltText => node.kind === 'text',
    isCommentNode: (_): _ is BuiltText => false,
    isDocumentTypeNode: (_): _ is BuiltText => false,
    isElementNode: (node): node is BuiltElement => node.kind === 'element',
    setNodeSourceCodeLocation(node, location) {
      if (node?.kind === 'element' && location) node.ownLine = location.startLine;
    },
    getNodeSourceCodeLocation: () => undefined,
    updateNodeSourceCodeLocation: () => undefined,
  };
}

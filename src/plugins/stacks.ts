// Stacks of stylesheets that a bundler takes or makes

import { standInNames, type Manifest } from '../kit/files/manifest.js';
import { applied } from '../site/edits/edits.js';
import { stackEdits, type StackNames } from '../site/edits/stack-edits.js';
import { StackProperties } from '../site/edits/stack-properties.js';

/** Puts what stands in for families of a kit behind them. */
export class StandInStacks {
  private readonly names: ReadonlyMap<string, string>;
  private readonly properties = new StackProperties();

  constructor(manifest: Pick<Manifest, 'families'>) {
    this.names = standInNames(manifest);
  }

  /** Tells apart which custom properties are stacks. @param css a stylesheet that goes with those that are changed */
  read(css: string): void {
    this.properties.add(css);
  }

  /** @param css a stylesheet, or declarations */
  in(css: string, isDeclarations = false): string {
    if (this.names.size === 0) return css;
    const stacks: StackNames = {
      nameFor: () => undefined,
      standInFor: (family) => this.names.get(family.toLowerCase()),
      fallbackFor: () => [],
      holdsStack: (property) => this.properties.holdsStack(property),
    };
    return applied(css, stackEdits(css, stacks, isDeclarations));
  }
}

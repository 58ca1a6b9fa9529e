// Stacks of stylesheets that a bundler takes or makes

import type { Manifest } from '../kit/files/manifest.js';
import { standInStacks } from '../kit/files/stand-in-stacks.js';
import { applied } from '../site/edits/edits.js';
import { stackEdits } from '../site/edits/stack-edits.js';
import { StackProperties } from '../site/edits/stack-properties.js';

/** Puts what stands in for families of a kit behind them. */
export class StandInStacks {
  private readonly properties = new StackProperties();

  /** Tells apart which custom properties are stacks. @param css a stylesheet that goes with those that are changed */
  read(css: string): void {
    this.properties.add(css);
  }

  /** @param css a stylesheet, or declarations */
  in(css: string, manifest: Manifest, isDeclarations = false): string {
    return applied(css, stackEdits(css, standInStacks(manifest, this.properties), isDeclarations));
  }
}

import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LoggingServer } from './server.js';

/** Font files that a blank page may draw: kept in a folder of their own, and served beside it. */
export class DrawnFiles {
  private constructor(
    private readonly folder: string,
    private readonly server: LoggingServer,
  ) {}

  static async start(): Promise<DrawnFiles> {
    const folder = mkdtempSync(join(tmpdir(), 'dense-glyph-drawn-'));
    const blank = { '/blank': '<!doctype html><title>blank</title>' };
    return new DrawnFiles(folder, await LoggingServer.start({ '/': `${folder}/` }, blank));
  }

  /** The URL of the blank page. */
  get blank(): string {
    return `${this.server.origin}/blank`;
  }

  /** @returns its URL, from the root */
  keep(name: string, bytes: Uint8Array): string {
    writeFileSync(join(this.folder, name), bytes);
    return `/${name}`;
  }

  async close(): Promise<void> {
    await this.server.close();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

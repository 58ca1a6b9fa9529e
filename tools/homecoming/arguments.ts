/** What stands behind options of a script: `--pages a b --engines chromium`. */
export class Arguments {
  private readonly args = process.argv.slice(2);

  /** What stands before all options. */
  get named(): string | undefined {
    return this.args[0]?.startsWith('--') ? undefined : this.args[0];
  }

  has(name: string): boolean {
    return this.args.includes(name);
  }

  valuesOf(name: string): string[] {
    const at = this.args.indexOf(name);
    if (at < 0) return [];
    const rest = this.args.slice(at + 1);
    const end = rest.findIndex((one) => one.startsWith('--'));
    return end < 0 ? rest : rest.slice(0, end);
  }
}

/** Variables by name; `PATH` and `DENSE_GLYPH_CHROMIUM` say where Chromium is. */
export type Environment = Readonly<Record<string, string | undefined>>;

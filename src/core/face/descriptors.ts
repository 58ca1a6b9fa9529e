// CSS Fonts 4 and 5, section 4: descriptors that change how a face is drawn

/** Beside those that font matching goes by, in the order in which rules are written. */
export const drawingDescriptors = [
  'font-feature-settings',
  'font-variation-settings',
  'font-language-override',
  'size-adjust',
  'ascent-override',
  'descent-override',
  'line-gap-override',
] as const;

export type DrawingDescriptor = (typeof drawingDescriptors)[number];

/** Their values, as CSS writes them. */
export type DrawingDescriptors = Readonly<Partial<Record<DrawingDescriptor, string>>>;

const tag = `(?:"[\\x20-\\x7e]{4}"|'[\\x20-\\x7e]{4}')`;
const percentage = '\\+?(?:\\d+(?:\\.\\d+)?|\\.\\d+)%';
const settings = (value: string) =>
  new RegExp(`^(?:normal|${tag}${value}(?:\\s*,\\s*${tag}${value})*)$`, 'i');
const override = new RegExp(`^(?:normal|${percentage})(?:\\s+(?:normal|${percentage}))?$`, 'i');

const grammars: Readonly<Record<DrawingDescriptor, RegExp>> = {
  'font-feature-settings': settings('(?:\\s+(?:on|off|\\d{1,5}))?'),
  'font-variation-settings': settings('\\s+[-+]?(?:\\d+(?:\\.\\d+)?|\\.\\d+)'),
  'font-language-override': /^(?:normal|"[A-Za-z0-9 ]{1,4}"|'[A-Za-z0-9 ]{1,4}')$/,
  'size-adjust': new RegExp(`^${percentage}$`),
  'ascent-override': override,
  'descent-override': override,
  'line-gap-override': override,
};

/** Whether a value is one that browsers take; others count as not being there. */
export const isDrawingValue = (name: DrawingDescriptor, value: string): boolean => grammars[name].test(value);

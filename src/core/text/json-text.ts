// JSON that people can read and compare: what is short stands on one line

/** So long a line may be before it is broken, with what stands before it. */
const longest = 120;

/** A value as JSON: as `JSON.stringify` with two spaces, but with lists and objects on one line where they are short. */
export function jsonText(value: unknown): string {
  return brokenText(value, '') ?? 'null';
}

function brokenText(value: unknown, indent: string): string | undefined {
  const short = JSON.stringify(value) as string | undefined;
  if (short === undefined || typeof value !== 'object' || value === null) return short;
  if (short.length + indent.length <= longest) return short;
  if ('toJSON' in value) return brokenText(JSON.parse(short), indent);
  const inner = `${indent}  `;
  const isList = Array.isArray(value);
  const parts = isList
    ? value.map((one: unknown) => brokenText(one, inner) ?? 'null')
    : Object.entries(value).flatMap(([key, one]) => {
        const text = brokenText(one, inner);
        return text === undefined ? [] : [`${JSON.stringify(key)}: ${text}`];
      });
  const [open, close] = isList ? '[]' : '{}';
  return `${open}\n${parts.map((part) => inner + part).join(',\n')}\n${indent}${close}`;
}

/** Whether something is a URL of the web, and no path. */
export const isWebUrl = (text = ''): boolean => /^https?:\/\//i.test(text);

/** An address of the web in full, without what makes no difference to what it stands for; anything else as it is. */
export function plainAddress(address: string): string {
  const text = address.trim();
  const full = text.startsWith('//') ? `https:${text}` : text;
  if (!/^https?:/i.test(full) || !URL.canParse(full)) return full;
  const url = new URL(full);
  for (const part of ['hash', 'username', 'password'] as const) url[part] = '';
  return url.href;
}

/** A URL as people write it; as it is where that can't be, as in `100%ff`. */
export function readableAddress(url: string): string {
  try {
    return decodeURI(url);
  } catch {
    return url;
  }
}

/** The path of an address, decoded, without what follows it; undefined for one that is malformed, and for no path at all. */
export function pathOfAddress(address: string): string | undefined {
  try {
    const path = decodeURIComponent(address.trim().replace(/[?#].*$/s, ''));
    return path === '' || path.includes('\0') ? undefined : path;
  } catch {
    return undefined;
  }
}

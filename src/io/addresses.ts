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

/** The path of an address, decoded, without what follows it; undefined for one that is malformed, and for no path at all. */
export function pathOfAddress(address: string): string | undefined {
  try {
    const path = decodeURIComponent(address.trim().replace(/[?#].*$/s, ''));
    return path === '' || path.includes('\0') ? undefined : path;
  } catch {
    return undefined;
  }
}

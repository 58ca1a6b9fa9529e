/** A URL as people write it; as it is where that can't be, as in `100%ff`. */
export function readable(url: string): string {
  try {
    return decodeURI(url);
  } catch {
    return url;
  }
}

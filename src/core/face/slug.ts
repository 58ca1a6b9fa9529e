/** A name as it stands in file names and custom properties: small letters, digits and hyphens. */
export function slug(text: string): string {
  const plain = text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();
  return plain.replace(/[^a-z0-9]+/g, '-').replace(/^-+|-+$/g, '') || 'font';
}

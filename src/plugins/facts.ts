import type { Delivery } from './delivery.js';
import type { ProjectKit } from './project-kit.js';

/** The kit for scripts: its faces with their URLs, the values of `font-family`, what pages preload. */
export function factsText(kit: ProjectKit, delivery: Delivery): string {
  const { manifest } = kit.result!;
  const parts = manifest.families.flatMap((family) =>
    family.faces.flatMap((face) =>
      face.parts.slice(0, 1).map((part) => ({ ...face, file: part.file, family })),
    ),
  );
  const addresses = parts.map(({ file }, i) => delivery.address(file, `url${i}`));
  const faces = parts.map(
    ({ family, weight, style, preload }, i) =>
      `  { family: ${JSON.stringify(family.family)}, role: ${JSON.stringify(family.role)}, weight: ${JSON.stringify(weight)}, style: ${JSON.stringify(style)}, preload: ${preload}, url: ${addresses[i].expression} },`,
  );
  const stacks = Object.fromEntries(manifest.families.map(({ role, stack }) => [role, stack]));
  return [
    ...addresses.flatMap(({ imported }) => imported ?? []),
    'export const faces = [',
    ...faces,
    '];',
    `export const stacks = ${JSON.stringify(stacks)};`,
    'export const preloads = faces.filter((face) => face.preload).map((face) => face.url);',
    '',
  ].join('\n');
}

/**
 * Switches the faces of each arrival group on together (CSS Font Loading 3): until then what stands in for them is drawn. The root
 * element says how far a group is, `data-type-<group>`: `pending`, `ready`, or `failed`; and so does an event of the document,
 * `type-arrival`. Nothing that goes wrong here reaches the page.
 */

/** A face as the kit declares it. */
export interface GroupFace {
  family: string;
  /** A path inside the kit. What only other characters ask for is declared by kit.css. */
  file: string;
  weight: string;
  others: FontFaceDescriptors;
}

export interface Group {
  name: string;
  /** Milliseconds after which what isn't there doesn't come on this visit. */
  patience: number;
  /** The group that comes before it. */
  after?: string;
  faces: GroupFace[];
}

export type Outcome = 'ready' | 'failed';

export const attributeOf = (name: string): string => `data-type-${name}`;
export const arrivalEvent = 'type-arrival';

function say(name: string, state: string): void {
  document.documentElement.setAttribute(attributeOf(name), state);
  document.dispatchEvent(new CustomEvent(arrivalEvent, { detail: { group: name, state } }));
}

function isThrifty(): boolean {
  const { connection } = navigator as { connection?: { saveData?: boolean; effectiveType?: string } };
  return connection?.saveData === true || /2g/.test(connection?.effectiveType ?? '');
}

/**
 * Engines fetch a file once for each face that is made of its URL after a page is there; so its bytes are asked for. Where a policy
 * lets only faces ask for fonts, they do.
 */
async function fetched(url: string): Promise<ArrayBuffer | string> {
  try {
    const answer = await fetch(url);
    if (answer.ok) return await answer.arrayBuffer();
  } catch {
    // As below.
  }
  return `url("${url}")`;
}

/** Faces with what they draw, which the document doesn't have yet. */
async function loaded(faces: readonly GroupFace[], base: string): Promise<FontFace[]> {
  const files = new Map<string, Promise<ArrayBuffer | string>>();
  const sourceOf = (file: string) => {
    const url = base + file;
    if (!files.has(url)) files.set(url, fetched(url));
    return files.get(url)!;
  };
  // It reads a family as a rule writes it, where others take it as it is.
  const isFirefox = CSS.supports('-moz-appearance', 'none');
  return Promise.all(
    faces.map(async ({ family, file, weight, others }) => {
      const name = isFirefox ? JSON.stringify(family) : family;
      return new FontFace(name, await sourceOf(file), { ...others, weight }).load();
    }),
  );
}

/**
 * Asks for faces of a group, and switches them on once all are there.
 *
 * @param base what URLs of files start with
 * @param before the group that comes first; this one isn't asked for until then, and fails with it
 */
export async function arrive(
  { name, patience }: Group,
  faces: readonly GroupFace[],
  base: string,
  before?: Promise<Outcome>,
): Promise<Outcome> {
  if (faces.length === 0) return 'ready';
  try {
    if (isThrifty()) return failed(name);
    say(name, 'pending');
    if (before && (await before) === 'failed') return failed(name);
    const late = new Promise<never>((_, fail) => setTimeout(fail, patience));
    const made = await Promise.race([loaded(faces, base), late]);
    for (const face of made) document.fonts.add(face);
    say(name, 'ready');
    return 'ready';
  } catch {
    return failed(name);
  }
}

function failed(name: string): Outcome {
  say(name, 'failed');
  return 'failed';
}

/** Asks for groups, each once until it fails, those that others wait for first. @param facesOf what of a group is wanted */
export class Arrivals {
  private readonly started = new Map<string, Promise<Outcome>>();

  constructor(
    private readonly groups: readonly Group[],
    private readonly base: string,
    private readonly facesOf: (group: Group) => readonly GroupFace[] = ({ faces }) => faces,
  ) {}

  start(name: string): Promise<Outcome> {
    let outcome = this.started.get(name);
    if (!outcome) {
      const group = this.groups.find((one) => one.name === name)!;
      const before = group.after === undefined ? undefined : this.start(group.after);
      this.started.set(name, (outcome = arrive(group, this.facesOf(group), this.base, before)));
      void outcome.then((end) => {
        if (end === 'failed') this.started.delete(name);
      });
    }
    return outcome;
  }

  /** Asks for all of them; for those that failed once more. */
  all(): void {
    for (const { name } of this.groups) void this.start(name);
  }
}

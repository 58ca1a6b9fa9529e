/**
 * Switches the faces of each arrival group on together (CSS Font Loading 3): until then what stands in for them is drawn. The root
 * element says how far a group is, `data-type-<group>`: `pending`, `ready`, or `failed`; and so does an event of the document,
 * `type-arrival`. Nothing that goes wrong here reaches the page.
 */

/** A face as the kit declares it. */
interface GroupFace {
  family: string;
  /** A path inside the kit. What only other characters ask for is declared by kit.css. */
  file: string;
  /** Weights that have stand-ins of their own; of browsers that fetch a file once for each rule all of them together. */
  weights: string[];
  whole: string;
  others: FontFaceDescriptors;
}

interface Group {
  name: string;
  /** Milliseconds after which what isn't there doesn't come on this visit. */
  patience: number;
  faces: GroupFace[];
}

declare const kitGroups: Group[];
/** What the kit’s URL is where the page doesn’t say it. */
declare const kitBase: string;

const { documentElement, currentScript } = document;
const { base = kitBase, faces: chosen } = currentScript?.dataset ?? {};
const wanted = chosen?.split(' ');
const { connection } = navigator as { connection?: { saveData?: boolean; effectiveType?: string } };
const isThrifty = connection?.saveData === true || /2g/.test(connection?.effectiveType ?? '');

/** It fetches a file once for each rule, and reads a family as a rule writes it, where others take it as it is. */
const isFirefox = globalThis.CSS?.supports('-moz-appearance', 'none');

let number = 0;
for (const { name, patience, faces } of kitGroups) {
  const own = faces.filter(() => !wanted || wanted.includes(`${number++}`));
  const say = (state: string): void => {
    documentElement.setAttribute(`data-type-${name}`, state);
    document.dispatchEvent(new CustomEvent('type-arrival', { detail: { group: name, state } }));
  };
  try {
    if (isThrifty) say('failed');
    else if (own.length > 0) {
      say('pending');
      const made = own.flatMap(({ family, file, weights, whole, others }) =>
        (isFirefox ? [whole] : weights).map(
          (weight) =>
            new FontFace(isFirefox ? JSON.stringify(family) : family, `url("${base}${file}")`, {
              ...others,
              weight,
            }),
        ),
      );
      const late = new Promise((_, fail) => setTimeout(fail, patience));
      Promise.race([Promise.all(made.map((face) => face.load())), late]).then(
        () => {
          for (const face of made) document.fonts.add(face);
          say('ready');
        },
        () => say('failed'),
      );
    }
  } catch {
    say('failed');
  }
}

export {};

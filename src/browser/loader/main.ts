/** The loader in a page's head: asks for the faces that the page names by their numbers, all where it names none. */

import { Arrivals, type Group } from './arrival.js';

declare const kitGroups: Group[];
/** What the kit’s URL is where the page doesn’t say it. */
declare const kitBase: string;

const { base = kitBase, faces: chosen } = document.currentScript?.dataset ?? {};
const wanted = chosen?.split(' ');

let number = 0;
const own = new Map(
  kitGroups.map((group) => [group, group.faces.filter(() => !wanted || wanted.includes(`${number++}`))]),
);
const arrivals = new Arrivals(kitGroups, base, (group) => own.get(group)!);
const ask = () => arrivals.all();
ask();
// A line that is there again, a page that somebody comes back to (HTML, section 7.4.6): what failed is asked for once more.
addEventListener('online', ask);
addEventListener('pageshow', ({ persisted }) => persisted && ask());

/** The loader for applications: they ask for groups when they draw them. Imported on a server it does nothing. */

import { arrivalEvent, Arrivals, attributeOf, type Group, type Outcome } from './arrival.js';

declare const kitGroups: Group[];
declare const kitBase: string;

export type State = 'none' | 'pending' | Outcome;

const isState = (text: string | null | undefined): text is State =>
  text === 'pending' || text === 'ready' || text === 'failed';

export function stateOf(group: string): State {
  const text = globalThis.document?.documentElement.getAttribute(attributeOf(group));
  return isState(text) ? text : 'none';
}

export function watch(group: string, onState: (state: State) => void): () => void {
  const listen = (event: Event): void => {
    const { detail } = event as CustomEvent<{ group: string; state: State }>;
    if (detail.group === group) onState(detail.state);
  };
  globalThis.document?.addEventListener(arrivalEvent, listen);
  onState(stateOf(group));
  return () => globalThis.document?.removeEventListener(arrivalEvent, listen);
}

let arrivals: Arrivals | undefined;

export function load(group: string, base: string = kitBase): Promise<Outcome> {
  return new Promise((done) => {
    if (!globalThis.document || !kitGroups.some(({ name }) => name === group)) {
      done('failed');
      return;
    }
    arrivals ??= new Arrivals(kitGroups, base);
    // The loader of the page may have asked for it.
    if (stateOf(group) === 'none') void arrivals.start(group);
    const stop = watch(group, (state) => {
      if (state !== 'ready' && state !== 'failed') return;
      done(state);
      queueMicrotask(() => stop());
    });
  });
}

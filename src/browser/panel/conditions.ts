/** How the server delivers, and how it is told to do otherwise. */

export type Conditions = Record<string, string | boolean | Record<string, string>>;
export interface Told {
  conditions: Conditions;
  choices: Record<string, (string | boolean)[]>;
}
export interface Mark {
  path: string;
  color?: string;
  shape?: { slanted: boolean; bold: boolean };
  inside: string;
  reason?: string;
}

const own = (name: string) => `/.rehearsal/${name}`;

export const toldConditions = async (): Promise<Told> =>
  (await fetch(own('conditions'))).json() as Promise<Told>;

export const marks = async (): Promise<Mark[]> => (await fetch(own('marks'))).json() as Promise<Mark[]>;

/** Changes conditions, and draws the page anew under them. */
export async function change(what: Conditions): Promise<void> {
  await fetch(own('conditions'), { method: 'POST', body: JSON.stringify(what) });
  location.reload();
}

/** Draws the page anew when somebody else changes them, as keys of the terminal do. */
export function follow(now: Conditions): void {
  const shown = JSON.stringify(now);
  const events = new EventSource(own('changes'));
  events.addEventListener('message', ({ data }: MessageEvent<string>) => {
    if (data !== shown) location.reload();
  });
  addEventListener('pagehide', () => events.close());
}

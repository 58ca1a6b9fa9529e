import { connections, type Connection } from '../../config/connections.js';
import { bitRate } from '../../core/text/amounts.js';

/** The name of a line with its numbers, where these aren't its name. */
export const connectionText = ({ name, rtt, down }: Pick<Connection, 'name' | 'rtt' | 'down'>): string =>
  name in connections ? `${name} (${rtt} ms, ${bitRate(down)})` : name;

// No standard has it; browsers know it as -webkit-text-security

import { asWritten, longhand } from './property.js';

export const textSecurity = longhand({
  name: 'text-security',
  key: 'security',
  initial: 'none',
  isInherited: true,
  read: asWritten(),
});

/**
 * Unicode 14.0.0: Arabic letters that join on the right alone, and on both sides (Joining_Type R and D), packed as ranges. Made by
 * tools/data/joining-types.mjs.
 */
export const rightJoining =
  '17m:3 1 1 5:3 l 14:2 1:2 g:h 12 2:8 1 1 2:1 1 o:1 2x:2 f:1 4 1:1 3:1 6u:i b r:2 1 2:1 6';
export const dualJoining =
  '17k 5 1 1:4 4:c 1:6 1:1 z:1 8:f i:11 1:1 9 1 1:1 14:2 2 28:8 3:e 2:3 1 2:2 2:5 7a 2:4 i:9 5:1 2:5 1:e';

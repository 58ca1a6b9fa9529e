/** Which rules of a site a kit replaces, and which are its own: the one answer for all who ask. */
export { ruleFate, shippedIn, shippedOf, type RuleFate, type Shipped } from './rule-fate.js';
export { kitOverridden } from './kit-overridden.js';
export { ruleOwners, type OwnedRule, type OwnedSheet, type RuleOwner } from './rule-owner.js';
export { drawingOf, judgeDrawing, type Drawing, type Judgement, type Loss } from './judge-drawing.js';
export { stopFor, weightStops, type WeightStops } from './stops.js';
export { takenApart } from './apart.js';

// Adobe Technical Note 5177, section 4.4: arithmetic operators, by the byte behind the escape

export const binaryOperators: Record<number, (a: number, b: number) => number> = {
  3: (a, b) => Number(a !== 0 && b !== 0),
  4: (a, b) => Number(a !== 0 || b !== 0),
  10: (a, b) => a + b,
  11: (a, b) => a - b,
  12: (a, b) => (b === 0 ? 0 : a / b),
  15: (a, b) => Number(a === b),
  24: (a, b) => a * b,
};

export const unaryOperators: Record<number, (a: number) => number> = {
  5: (a) => Number(a === 0),
  9: Math.abs,
  14: (a) => -a,
  26: (a) => Math.sqrt(Math.max(a, 0)),
};

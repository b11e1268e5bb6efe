/** Practising on made-up cars: what a check costs, and what an answer is worth. */
export * from './practice/checkCosts.ts';
export * from './practice/drill.ts';
export * from './practice/drillWords.ts';
export * from './practice/moneyInTruth.ts';
export * from './practice/scoreAnswer.ts';
export * from './practice/skills.ts';
export * from './practice/usualChances.ts';

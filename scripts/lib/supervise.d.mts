export interface Running {
  ended: Promise<string>;
  stop(): Promise<void> | void;
}
export function supervise(part: {
  name: string;
  start: (isAgain: boolean) => Promise<Running>;
  tell: (line: string) => void;
  giveUp: (line: string) => void;
  clock?: () => number;
  wait?: (ms: number) => Promise<void>;
}): Promise<{ stop(): Promise<void> }>;

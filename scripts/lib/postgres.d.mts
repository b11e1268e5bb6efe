export interface Cluster {
  url: string;
  ownerUrl: string;
  folder: string;
  bin: string;
  pid: number;
  port: number;
  stop(): Promise<void>;
}
export function startCluster(folder: string, options?: { port?: number }): Promise<Cluster>;
export function isClusterRunning(folder: string): Promise<boolean>;
export function freePort(): Promise<number>;

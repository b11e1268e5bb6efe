export interface Cluster {
  url: string;
  ownerUrl: string;
  folder: string;
  pid: number;
  port: number;
  stop(): Promise<void>;
}
export function startCluster(folder: string, options?: { port?: number }): Promise<Cluster>;
export function freePort(): Promise<number>;

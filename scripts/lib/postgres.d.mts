export interface Cluster {
  url: string;
  folder: string;
  pid: number;
  stop(): Promise<void>;
}
export function startCluster(folder: string): Promise<Cluster>;
export function freePort(): Promise<number>;

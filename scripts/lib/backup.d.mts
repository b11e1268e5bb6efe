import type { Cluster } from './postgres.mjs';
export function backUp(cluster: Cluster, folder: string, now?: Date): Promise<string>;
export function backupsIn(folder: string): { file: string; at: number }[];
export function pruneBackups(folder: string, keep: number): void;
export function restore(cluster: Cluster, file: string): Promise<{ aside: string | null }>;

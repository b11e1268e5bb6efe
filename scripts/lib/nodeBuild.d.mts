export function buildNode(root: string, name: 'server' | 'cli' | 'bench'): Promise<string>;

export function buildNode(root: string, name: 'server' | 'cli'): Promise<string>;

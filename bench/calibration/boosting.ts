/**
 * A plain learner: gradient boosting of small regression trees on the logistic loss, with histograms of
 * the features (Friedman 2001; histogram splits as in common libraries). It knows nothing of wear: trained
 * on cars of a world, it is what a good reader of that world can reach without its physics.
 */

const BINS = 32;
const DEPTH = 3;
const ROUNDS = 150;
const RATE = 0.06;
const LEAST_LEAF = 20;
const RIDGE = 5;

interface Node {
  feature: number;
  threshold: number;
  left: Node | number;
  right: Node | number;
}

/** Chance of a label, given the features. */
export type Learned = (features: readonly number[]) => number;

/** Cuts between the bins of each feature: made once for a set of cars, for all labels. */
export function binEdges(rows: readonly (readonly number[])[]): Float64Array[] {
  return rows[0]!.map((_, feature) => {
    const sorted = Float64Array.from(rows, (row) => row[feature]!).sort();
    const edges = new Set<number>();
    for (let i = 1; i < BINS; i++) edges.add(sorted[Math.floor((i * sorted.length) / BINS)]!);
    return Float64Array.from(edges);
  });
}

export function binRows(
  rows: readonly (readonly number[])[],
  edges: readonly Float64Array[],
): Uint8Array[] {
  return edges.map((cuts, feature) =>
    Uint8Array.from(rows, (row) => {
      let bin = 0;
      while (bin < cuts.length && row[feature]! >= cuts[bin]!) bin++;
      return bin;
    }),
  );
}

/**
 * Trains on one label.
 * @param binned - by feature, the bin of each row
 * @param labels - 0 or 1 for each row
 */
export function train(
  binned: readonly Uint8Array[],
  edges: readonly Float64Array[],
  labels: Uint8Array,
): Learned {
  const n = labels.length;
  const rate = (labels.reduce((sum, label) => sum + label, 0) + 0.5) / (n + 1);
  const start = Math.log(rate / (1 - rate));
  const score = new Float64Array(n).fill(start);
  const gradient = new Float64Array(n);
  const hessian = new Float64Array(n);
  const trees: (Node | number)[] = [];
  const all = Int32Array.from({ length: n }, (_, i) => i);

  function grow(rows: Int32Array, depth: number): Node | number {
    let g = 0;
    let h = 0;
    for (const i of rows) {
      g += gradient[i]!;
      h += hessian[i]!;
    }
    const leaf = (-g / (h + RIDGE)) * RATE;
    if (depth === 0 || rows.length < 2 * LEAST_LEAF) return leaf;
    let best = 1e-3;
    let at: { feature: number; bin: number } | null = null;
    const gs = new Float64Array(BINS + 1);
    const hs = new Float64Array(BINS + 1);
    const counts = new Int32Array(BINS + 1);
    for (let feature = 0; feature < binned.length; feature++) {
      const cuts = edges[feature]!.length;
      if (cuts === 0) continue;
      gs.fill(0);
      hs.fill(0);
      counts.fill(0);
      const bins = binned[feature]!;
      for (const i of rows) {
        const bin = bins[i]!;
        gs[bin]! += gradient[i]!;
        hs[bin]! += hessian[i]!;
        counts[bin]!++;
      }
      let [gl, hl, cl] = [0, 0, 0];
      for (let bin = 0; bin < cuts; bin++) {
        gl += gs[bin]!;
        hl += hs[bin]!;
        cl += counts[bin]!;
        if (cl < LEAST_LEAF || rows.length - cl < LEAST_LEAF) continue;
        const gain =
          gl ** 2 / (hl + RIDGE) + (g - gl) ** 2 / (h - hl + RIDGE) - g ** 2 / (h + RIDGE);
        if (gain > best) {
          best = gain;
          at = { feature, bin };
        }
      }
    }
    if (!at) return leaf;
    const bins = binned[at.feature]!;
    const { bin } = at;
    return {
      feature: at.feature,
      threshold: edges[at.feature]![bin]!,
      left: grow(
        rows.filter((i) => bins[i]! <= bin),
        depth - 1,
      ),
      right: grow(
        rows.filter((i) => bins[i]! > bin),
        depth - 1,
      ),
    };
  }

  const edgeBin = (node: Node) => edges[node.feature]!.indexOf(node.threshold);
  for (let round = 0; round < ROUNDS; round++) {
    for (let i = 0; i < n; i++) {
      const p = 1 / (1 + Math.exp(-score[i]!));
      gradient[i] = p - labels[i]!;
      hessian[i] = p * (1 - p);
    }
    const tree = grow(all, DEPTH);
    trees.push(tree);
    for (let i = 0; i < n; i++) {
      let node = tree;
      while (typeof node !== 'number') {
        node = binned[node.feature]![i]! <= edgeBin(node) ? node.left : node.right;
      }
      score[i]! += node;
    }
  }
  return (features) => {
    let sum = start;
    for (const tree of trees) {
      let node = tree;
      while (typeof node !== 'number') {
        node = features[node.feature]! < node.threshold ? node.left : node.right;
      }
      sum += node;
    }
    return 1 / (1 + Math.exp(-sum));
  };
}
